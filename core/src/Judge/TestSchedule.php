<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/**
 * How often what is tested, by what a system is for and how it stands.
 *
 * Hours between tests. A test is due when so much time has gone, late when half as much again has.
 *
 * @source cp-test-schedule  every 12 h in a start or an incident, daily in quarantine, weekly in routine, nitrate monthly
 */
final readonly class TestSchedule
{
    private const HOURS = [
        'routine' => ['tan_mg_l' => 168, 'no2_n_mg_l' => 168, 'ph' => 168, 'temp_c' => 168, 'alkalinity_mg_l' => 168, 'no3_n_mg_l' => 672],
        'quarantine' => ['tan_mg_l' => 24, 'no2_n_mg_l' => 24, 'ph' => 24, 'temp_c' => 24, 'do_mg_l' => 24, 'alkalinity_mg_l' => 72, 'no3_n_mg_l' => 168],
        'start' => ['tan_mg_l' => 12, 'no2_n_mg_l' => 12, 'ph' => 24, 'temp_c' => 24, 'alkalinity_mg_l' => 72, 'no3_n_mg_l' => 168],
        'incident' => ['tan_mg_l' => 12, 'no2_n_mg_l' => 12, 'ph' => 12, 'temp_c' => 12, 'do_mg_l' => 12, 'alkalinity_mg_l' => 48, 'no3_n_mg_l' => 168],
    ];

    /** Above this oxygen belongs to the round, at dawn. */
    private const WARM_C = 20.0;

    private const OXYGEN_WHEN_WARM_H = 168;

    public static function context(string $kind, ?State $state): string
    {
        return match (true) {
            $kind === 'start' => 'start',
            $state === State::Act || $state === State::Emergency => 'incident',
            in_array($kind, ['quarantine', 'hospital', 'fry'], true) => 'quarantine',
            default => 'routine',
        };
    }

    /**
     * @param  array<string, ?float>  $own  hours by parameter as the keeper set them; null: not at all
     * @return array<string, float> hours by parameter
     */
    public static function hours(string $context, ?float $tempC, array $own = []): array
    {
        $hours = self::HOURS[$context] ?? self::HOURS['routine'];
        if ($tempC !== null && $tempC >= self::WARM_C) {
            $hours += ['do_mg_l' => self::OXYGEN_WHEN_WARM_H];
        }

        return array_map(floatval(...), array_filter([...$hours, ...$own], static fn (int|float|null $every): bool => $every !== null));
    }

    /** `done`, `due` or `late`, by the hours since the last test; never tested is due. */
    public static function stands(?float $hoursAgo, float $every): string
    {
        return match (true) {
            $hoursAgo === null => 'due',
            $hoursAgo <= $every => 'done',
            $hoursAgo <= 1.5 * $every => 'due',
            default => 'late',
        };
    }
}
