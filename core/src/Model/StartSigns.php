<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/** What the readings and changes of a start show by themselves. Common practice, no source. */
final class StartSigns
{
    /** Ammonia that reads nothing for so long is not on its way, days. */
    public const UNFED_D = 14;

    /** At or under this it reads nothing, mg/L as N. */
    private const NOTHING_MG_L = 0.1;

    /** Nitrite that begins to show, and that stands, mg/L as N. */
    private const TRACE_MG_L = 0.05;

    private const STANDS_MG_L = 0.5;

    /** A share of the water changed after which a seed is repeated. */
    private const LARGE = 0.4;

    /**
     * @param  list<array{daysAgo: float, value: float}>  $ammonia  the newest first
     * @return ?int whole weeks for which nothing was read; null where something was, or it was hardly tested
     */
    public static function unfedWeeks(array $ammonia): ?int
    {
        $longest = 0.0;
        $tests = 0;
        foreach ($ammonia as $reading) {
            if ($reading['value'] > self::NOTHING_MG_L) {
                return null;
            }
            $longest = max($longest, $reading['daysAgo']);
            $tests++;
        }

        return $tests >= 2 && $longest >= self::UNFED_D ? (int) floor($longest / 7) : null;
    }

    /** @param  list<float>  $nitrite  mg/L as N, the newest first */
    public static function firstNitrite(array $nitrite): bool
    {
        $now = $nitrite[0] ?? 0.0;
        $before = array_slice($nitrite, 1);

        return $before !== [] &&
            $now > self::TRACE_MG_L &&
            $now < self::STANDS_MG_L &&
            max($before) <= self::TRACE_MG_L;
    }

    /**
     * @param  float  $left  of the water of when it was seeded, 0 to 1
     * @return ?int percent changed since; null where that is too little to seed again for
     */
    public static function seedAgainPct(float $left): ?int
    {
        return 1 - $left >= self::LARGE - 1e-9 ? (int) round(100 * (1 - $left)) : null;
    }
}
