<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\Age;
use App\Models\Bag;
use App\Models\FishGroup;
use App\Models\Photo;
use App\Models\Shipment;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Collection;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Words\Message;

/** The shipments of a system: each bag with what opening it does, its drip, and whether its fish are in. */
final readonly class ShipmentReport
{
    private const NEWEST = 12;

    public function __construct(private BagReport $bags, private BeforeReport $before) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $system->load(['site', 'vessels', 'stages', 'fish']);
        $shipments = Shipment::query()
            ->with(['bags.shipment', 'user'])
            ->where('system_id', $system->id)
            ->orderByDesc('arrived_at')
            ->limit(self::NEWEST)
            ->get();
        $waiting = $shipments->flatMap(
            static fn(Shipment $one): Collection => $one->bags->filter(
                static fn(Bag $bag): bool => $bag->in_at === null,
            ),
        );
        $photos = Photo::query()
            ->whereIn('id', $shipments->flatMap->bags->pluck('id')->all())
            ->pluck('id')
            ->all();
        $held = $system->fish->contains(static fn(FishGroup $one): bool => $one->count > 0);

        return [
            'before' => $waiting->isEmpty() ? null : $this->before->of($system, $water, $waiting->values()),
            // Said before it is done: fish that are held there begin anew.
            'starts_again' =>
                $system->kind === 'quarantine' && $held && $waiting->isNotEmpty()
                    ? Message::of('arrival.starts_again')->toArray()
                    : null,
            'shipments' => array_values(
                $shipments
                    ->map(
                        fn(Shipment $one): array => [
                            'id' => $one->id,
                            'from_whom' => $one->from_whom,
                            'boxes' => $one->boxes,
                            'packed_at' => $one->packed_at?->toIso8601ZuluString(),
                            'arrived_at' => $one->arrived_at->toIso8601ZuluString(),
                            'age' => Age::of($one->arrived_at),
                            'by' => $one->user?->name,
                            'bags' => array_values(
                                $one->bags
                                    ->map(fn(Bag $bag): array => $this->bag($system, $water, $bag, $photos))
                                    ->all(),
                            ),
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $photos  ids of bags that have one
     * @return array<string, mixed>
     */
    private function bag(System $system, LatestWater $water, Bag $bag, array $photos): array
    {
        return [
            'id' => $bag->id,
            'name' => $bag->name,
            'count' => $bag->count,
            'length_cm' => $bag->length_cm,
            'kg' => $bag->kg(),
            'hours' => $bag->hours(),
            'litres' => $bag->litres,
            'temp_c' => $bag->temp_c,
            'ph' => $bag->ph,
            'tan_mg_l' => $bag->tan_mg_l,
            'kh' => $bag->kh_dkh,
            'salinity_g_l' => $bag->salinity_g_l,
            'no3_mg_l' => $bag->no3_n_mg_l === null ? null : $bag->no3_n_mg_l * MolarMass::NO3_PER_N,
            'photo' => in_array($bag->id, $photos, true),
            'dripping' =>
                $bag->drip_from === null || $bag->in_at !== null
                    ? null
                    : [
                        'since' => $bag->drip_from->toIso8601ZuluString(),
                        'minutes' => $bag->drip_min,
                        'l_min' => $bag->drip_l_min,
                    ],
            'in_at' => $bag->in_at?->toIso8601ZuluString(),
            'dead' => $bag->dead,
            'answer' => $bag->in_at === null ? $this->bags->stored($system, $water, $bag)->toArray() : null,
        ];
    }
}
