<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * Whether a change burns: new water of a higher pH and KH turns the ammonia that is there.
 *
 *     TAN 1 at pH 7.0, KH 40 mg/L, half changed for pH 8.2, KH 200  →  un-ionised 0.004 to 0.0096, aired 0.077
 *
 * @source emerson-1975
 */
final readonly class Burning
{
    /** A rise this small is within what is read. */
    private const RISE = 1.02;

    public static function of(WaterMix $before, WaterMix $after, float $limitMgL): bool
    {
        $worse = static fn(?float $was, ?float $is): bool => $was !== null &&
            $is !== null &&
            $is > $limitMgL &&
            $is > self::RISE * $was;

        return $worse($before->unionised(), $after->unionised()) ||
            $worse($before->airedUnionised(), $after->airedUnionised());
    }
}
