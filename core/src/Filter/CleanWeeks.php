<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * When a filter of unknown age may be taken as grown in: eight weeks of clean tests of both ammonia and nitrite.
 *
 * Clean is at most 0.25 mg/L as N at the worse end of the reading; each fortnight of the eight weeks has a test of
 * each.
 *
 * @source cp-clean-weeks
 */
final class CleanWeeks
{
    public const DAYS = 56.0;

    public const CLEAN_MG_L = 0.25;

    private const FORTNIGHTS = 4;

    /**
     * @param  list<array{daysAgo: float, high: float}>  $ammonia  mg/L as N
     * @param  list<array{daysAgo: float, high: float}>  $nitrite  mg/L as N
     */
    public static function proven(array $ammonia, array $nitrite): bool
    {
        foreach ([$ammonia, $nitrite] as $readings) {
            $tested = [];
            foreach ($readings as $reading) {
                if ($reading['daysAgo'] > self::DAYS) {
                    continue;
                }
                if ($reading['high'] > self::CLEAN_MG_L + 1e-9) {
                    return false;
                }
                $tested[min(self::FORTNIGHTS - 1, (int) floor($reading['daysAgo'] / 14))] = true;
            }
            if (count($tested) < self::FORTNIGHTS) {
                return false;
            }
        }

        return true;
    }
}
