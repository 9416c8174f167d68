<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/**
 * Volume of an irregular pond from wetted cross-section areas at stations along it.
 *
 * Simpson's rule where the stations are evenly spaced and odd in number (three or more); else the
 * mean of neighbouring areas times the distance (end-area rule).
 *
 * @source surveying-sections
 */
final readonly class SectionRule
{
    private function __construct(public float $volumeM3, public bool $simpson) {}

    /**
     * @param  list<float>  $at  positions in m, rising, two or more
     * @param  list<float>  $areas  wetted areas in m² at those positions
     */
    public static function of(array $at, array $areas): self
    {
        $last = count($at) - 1;
        $step = ($at[$last] - $at[0]) / max(1, $last);
        $even = true;
        foreach ($at as $i => $position) {
            $even = $even && abs($position - $at[0] - $i * $step) <= 1e-6 * $step;
        }
        if ($even && $last >= 2 && $last % 2 === 0) {
            $sum = 0.0;
            foreach ($areas as $i => $area) {
                $sum += ($i === 0 || $i === $last ? 1 : ($i % 2 === 1 ? 4 : 2)) * $area;
            }

            return new self(($step / 3) * $sum, true);
        }
        $volume = 0.0;
        for ($i = 1; $i <= $last; $i++) {
            $volume += (($areas[$i] + $areas[$i - 1]) / 2) * ($at[$i] - $at[$i - 1]);
        }

        return new self($volume, false);
    }
}
