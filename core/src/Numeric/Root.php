<?php

declare(strict_types=1);

namespace Ironwort\Core\Numeric;

/** Finds where a falling or rising function crosses zero, by bisection sped up with the secant (Illinois). */
final readonly class Root
{
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
