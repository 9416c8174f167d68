<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/**
 * What fish are fed by: the lower of the mean of the last seven days and today's temperature, °C.
 *
 * One warm day after a winter asks for no feed that cold fish cannot digest, and a cold snap stops feed at once
 * (common practice, no source).
 */
final class SteadyTemperature
{
    public const DAYS = 7;

    /**
     * @param  float  $today  the newest reading, °C
     * @param  array<string, list<float>>  $week  readings of the last seven days by day, °C; each day counts once
     */
    public static function of(float $today, array $week): float
    {
        $days = array_map(
            static fn(array $read): float => array_sum($read) / count($read),
            array_filter($week, static fn(array $read): bool => $read !== []),
        );

        return $days === [] ? $today : min($today, array_sum($days) / count($days));
    }
}
