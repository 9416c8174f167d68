<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * How long what befell a filter is watched: two weeks, with tests every twelve hours.
 *
 * A rinse in system water is care and no setback: what it takes is back before it is missed.
 *
 * @source cp-setback
 */
final class AfterSetback
{
    public const DAYS = 14;

    /** What a filter loses without being watched for it, percent. */
    public const CARE_PCT = 10.0;

    /** @param  float  $lost  percent of the filter's bacteria */
    public static function counts(float $lost): bool
    {
        return $lost > self::CARE_PCT;
    }

    /**
     * Several one after the other, as one.
     *
     * @param  list<float>  $lost  percent, each of what lived before it
     * @return float percent lost of what lived before the first
     */
    public static function together(array $lost): float
    {
        return 100 * (1 - array_product(array_map(static fn(float $one): float => 1 - $one / 100, $lost)));
    }
}
