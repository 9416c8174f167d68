<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Models\Dose;
use App\Models\Reading;
use App\Models\Seed;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Model\StartSigns;
use Ironwort\Core\Words\Message;

/**
 * What the book of a start says besides its day: no source, the first nitrite, a seed to repeat, a donor that was sick.
 */
final readonly class StartAdvice
{
    /** @return list<Message> */
    public static function of(System $system, bool $starting): array
    {
        $seed = Seed::query()->where('system_id', $system->id)->orderByDesc('happened_on')->orderByDesc('id')->first();

        return array_values(
            array_filter([
                ...$starting ? [self::source($system), self::firstNitrite($system)] : [],
                $seed === null ? null : self::again($system, $seed),
                $seed !== null && $seed->donor === 'sick' && $seed->happened_on->gt(Carbon::now()->subDays(14))
                    ? Message::of('model.start_donor_sick', ['on' => $seed->happened_on->format('j M')])
                    : null,
            ]),
        );
    }

    private static function source(System $system): ?Message
    {
        if ($system->fish->isNotEmpty()) {
            return null;
        }
        $readings = self::readings($system, Parameter::Ammonia);
        $brought = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('thing', 'ammonium')
            ->where('given_at', '>', Carbon::now()->subDays(StartSigns::UNFED_D))
            ->exists();
        $weeks = StartSigns::unfedWeeks(
            array_values(
                $readings
                    ->map(
                        static fn(Reading $one): array => [
                            'daysAgo' => max(0.0, $one->taken_at->diffInDays(Carbon::now())),
                            'value' => $one->value,
                        ],
                    )
                    ->all(),
            ),
        );

        return $brought || $weeks === null ? null : Message::of('model.start_no_source', ['weeks' => $weeks]);
    }

    private static function firstNitrite(System $system): ?Message
    {
        $nitrite = self::readings($system, Parameter::Nitrite);
        $values = array_values($nitrite->map(static fn(Reading $one): float => $one->value)->all());

        return StartSigns::firstNitrite($values) ? Message::of('model.start_first_nitrite') : null;
    }

    private static function again(System $system, Seed $seed): ?Message
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereNull('vessel_id')
            ->where('kind', 'batch')
            ->where('changed_at', '>', $seed->happened_on->copy()->endOfDay())
            ->get();
        $left = $changes->reduce(
            static fn(float $left, WaterChange $one): float => $left * (1 - min(1.0, $one->litres / $one->volume_l)),
            1.0,
        );
        $pct = StartSigns::seedAgainPct($left);

        return $pct === null
            ? null
            : Message::of('model.start_seed_again', ['pct' => $pct, 'on' => $seed->happened_on->format('j M')]);
    }

    /** @return Collection<int, Reading> of the last two months, the newest first */
    private static function readings(System $system, Parameter $parameter): Collection
    {
        /** @var Collection<int, Reading> $readings */
        $readings = Reading::query()
            ->where('system_id', $system->id)
            ->where('parameter', $parameter->value)
            ->where('taken_at', '>', Carbon::now()->subDays(60))
            ->whereHas('visit', static fn($visit) => $visit->whereNull('withdrawn_at'))
            ->orderByDesc('taken_at')
            ->limit(200)
            ->get();

        return $readings;
    }
}
