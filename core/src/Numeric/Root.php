<?php

declare(strict_types=1);

namespace Ironwort\Core\Numeric;

/** Finds where a falling or rising function crosses zero, by bisection sped up with the secant (Illinois). */
final readonly class Root
{
    /**
     * Where a function that is above zero at the start has fallen to it, sought further and further out.
     *
     * @param  \Closure(float): float  $function
     * @param  float  $first  where it is looked at first, above 0
     * @param  float  $farthest  beyond this nothing is sought
     * @return ?float an upper end for `between()`; null where it stays above zero as far as that
     */
    public static function bracket(\Closure $function, float $first, float $farthest): ?float
    {
        for ($high = $first; $high <= $farthest; $high *= 4) {
            if ($function($high) <= 0) {
                return $high;
            }
        }

        return null;
    }

    /**
     * @param  \Closure(float): float  $function
     *
     * @throws \DomainException when both ends lie on the same side of zero
     */
    public static function between(\Closure $function, float $low, float $high, float $tolerance): float
    {
        $atLow = $function($low);
        $atHigh = $function($high);
        if ($atLow * $atHigh > 0) {
            throw new \DomainException('There is no crossing between the two ends.');
        }
        for ($i = 0; $i < 200 && abs($high - $low) > $tolerance; $i++) {
            $middle =
                abs($atHigh - $atLow) > 0
                    ? $high - ($atHigh * ($high - $low)) / ($atHigh - $atLow)
                    : ($low + $high) / 2;
            // A secant that hugs one end is replaced by a halving every third step.
            if ($i % 3 === 2 || $middle <= min($low, $high) || $middle >= max($low, $high)) {
                $middle = ($low + $high) / 2;
            }
            $at = $function($middle);
            if ($at * $atHigh <= 0) {
                $low = $high;
                $atLow = $atHigh;
            } else {
                $atLow /= 2;
            }
            $high = $middle;
            $atHigh = $at;
            if (abs($at) <= 0.0) {
                return $middle;
            }
        }

        return $high;
    }
}
