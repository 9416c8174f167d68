<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

/**
 * The time of the year by the water, not by the date: what is steady counts, not one warm afternoon.
 *
 * Common practice, no source: cold under 8 °C; spring while it warms to 18, autumn while it cools under 16; summer
 * from 20.
 */
enum YearSeason: string
{
    case Spring = 'spring';
    case Summer = 'summer';
    case Autumn = 'autumn';
    case Winter = 'winter';

    private const COLD_C = 8.0;

    private const SPRING_TO_C = 18.0;

    private const AUTUMN_UNDER_C = 16.0;

    private const SUMMER_FROM_C = 20.0;

    /** In four weeks, °C. */
    private const TURNS_C = 2.0;

    /** Null where the water stays as it is, or nobody knows. */
    public static function of(?float $nowC, ?float $monthAgoC): ?self
    {
        // Readings have a digit or two: 15.9 less 17.9 is two degrees, whatever the machine makes of it.
        $turned = $nowC === null || $monthAgoC === null ? 0.0 : round($nowC - $monthAgoC, 6);

        return match (true) {
            $nowC === null => null,
            $nowC < self::COLD_C => $turned >= self::TURNS_C ? self::Spring : self::Winter,
            $nowC >= self::SUMMER_FROM_C => self::Summer,
            $nowC < self::SPRING_TO_C && $turned >= self::TURNS_C => self::Spring,
            $nowC < self::AUTUMN_UNDER_C && $turned <= -self::TURNS_C => self::Autumn,
            default => null,
        };
    }
}
