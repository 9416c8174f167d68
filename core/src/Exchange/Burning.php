<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * Whether a change burns: new water of a higher pH and KH turns the ammonia that is there.
 *
 *     Burning::of(WaterMix::known(['tan_mg_l' => 0.5, 'ph' => 7.0, 'temp_c' => 20]),
 *       WaterMix::known(['tan_mg_l' => 0.5, 'ph' => 8.2, 'temp_c' => 20]), limitMgL: 0.02)  →  true
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
