<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Models\Incident;
use App\Models\Service;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** What an incident cost in money, as far as prices are known: water, services, and what somebody named at its end. */
final readonly class IncidentCost
{
    /** @return array{cost: ?float, cost_says: list<array{code: string, text: string}>} */
    public static function of(System $system, Incident $incident, Carbon $until, float $litres): array
    {
        $price = $system->site->price_per_m3;
        $services = (float) Service::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereBetween('started_at', [$incident->opened_at, $until])
            ->sum('cost');
        $water = $price === null ? null : ($litres / 1000) * $price;
        $other = $incident->other_cost;
        $money = static fn(float $sum): string => number_format($sum, 2);
        $says = [
            $water === null
                ? Message::of('incident.cost_no_price')
                : Message::of('incident.cost_water', [
                    'litres' => Format::about($litres, 3),
                    'cost' => $money($water),
                ]),
            ...$services > 0 ? [Message::of('incident.cost_services', ['cost' => $money($services)])] : [],
            ...$other === null ? [] : [Message::of('incident.cost_other', ['cost' => $money($other)])],
        ];
        $known = $water !== null || $services > 0 || $other !== null;

        return [
            'cost' => $known ? ($water ?? 0.0) + $services + ($other ?? 0.0) : null,
            'cost_says' => array_map(static fn(Message $one): array => $one->toArray(), $says),
        ];
    }
}
