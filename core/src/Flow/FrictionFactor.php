<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * Darcy friction factor of a full round pipe.
 *
 * 64/Re below 2,000; Colebrook, solved to 1e-10, above 4,000; between the two a smooth blend, which
 * keeps head loss rising steadily with flow, as solving a network needs.
 *
 *     FrictionFactor::of(reynolds: 34003, relativeRoughness: 1.4479e-5)  →  0.02285
 *
 * @source colebrook-1939  @source hagen-poiseuille
 */
final readonly class FrictionFactor
{
    public const LAMINAR_BELOW = 2000.0;

    public const TURBULENT_ABOVE = 4000.0;

    /** @param  float  $reynolds  above 0 */
    public static function of(float $reynolds, float $relativeRoughness): float
    {
        if ($reynolds <= self::LAMINAR_BELOW) {
            return 64 / $reynolds;
        }
        if ($reynolds >= self::TURBULENT_ABOVE) {
            return self::colebrook($reynolds, $relativeRoughness);
        }
        $along = ($reynolds - self::LAMINAR_BELOW) / (self::TURBULENT_ABOVE - self::LAMINAR_BELOW);
        $share = $along ** 2 * (3 - 2 * $along);

        return ((1 - $share) * 64) / $reynolds + $share * self::colebrook($reynolds, $relativeRoughness);
    }

    /** Newton's method on x = 1/√f: x + 2 log10(ε/3.7D + 2.51 x/Re) = 0, which is convex and settles in a few steps. */
    private static function colebrook(float $reynolds, float $relativeRoughness): float
    {
        $x = -1.8 * log10(($relativeRoughness / 3.7) ** 1.11 + 6.9 / $reynolds);
        for ($i = 0; $i < 30; $i++) {
            $inside = $relativeRoughness / 3.7 + (2.51 * $x) / $reynolds;
            $step = ($x + 2 * log10($inside)) / (1 + (2 * 2.51) / ($reynolds * $inside * M_LN10));
            $x -= $step;
            if (abs($step) < 1e-10 * $x) {
                break;
            }
        }

        return 1 / $x ** 2;
    }
}
