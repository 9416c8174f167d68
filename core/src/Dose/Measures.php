<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Unit;

/**
 * Amounts in the tools keepers have: kitchen scales, a jewellery scale for little, measuring cups, caps, teaspoons.
 *
 * Rounded down to the step of the tool, so that what is weighed is never more than what was worked out. A
 * teaspoon is 5 mL; of salt it weighs 6 g; twenty drops are a millilitre.
 *
 *     Measures::grams(1243.6)  →  1,240 g
 *     Measures::millilitres(7.46, capMl: 5.0)  →  7.4 mL (1.4 caps)
 *
 * @source cp-teaspoon-salt
 */
final readonly class Measures
{
    private const TEASPOON_ML = 5.0;

    private const DROPS_A_ML = 20.0;

    /** More is counted out in drops by nobody. */
    private const DROPS_UP_TO_ML = 1.25;

    /** A dose this small is split into teaspoons no more. */
    private const SPOONS_UP_TO = 12.0;

    /**
     * @param  bool  $salt  whether teaspoons of table or pond salt can be said beside
     * @param  ?float  $step  what the keeper's scale reads to, g; null where the usual one is taken
     */
    public static function grams(float $grams, bool $salt = false, ?float $step = null): string
    {
        $weighed = self::down($grams, $step);
        $said = $weighed >= 10000 ? self::said($weighed / 1000, 4) . ' kg' : self::said($weighed, 5) . ' g';
        $spoons = $weighed / Unit::TEASPOON_SALT_G;

        return $said .
            ($salt && $spoons >= 0.25 && $spoons <= self::SPOONS_UP_TO
                ? ' (' . self::said(floor(4 * $spoons) / 4, 4) . ' teaspoons)'
                : '');
    }

    public static function millilitres(float $ml, ?float $capMl = null): string
    {
        $poured = self::down($ml);
        $said = $poured >= 10000 ? self::said($poured / 1000, 4) . ' L' : self::said($poured, 5) . ' mL';
        if ($capMl !== null && $capMl > 0) {
            return $said . ' (' . self::said(floor((10 * $poured) / $capMl) / 10, 3) . ' caps)';
        }
        if ($poured < self::DROPS_UP_TO_ML && $poured > 0) {
            return $said . ' (' . self::said(floor(self::DROPS_A_ML * $poured), 3) . ' drops)';
        }
        $spoons = $poured / self::TEASPOON_ML;

        return $said .
            ($spoons >= 0.25 && $spoons <= self::SPOONS_UP_TO
                ? ' (' . self::said(floor(4 * $spoons) / 4, 4) . ' teaspoons)'
                : '');
    }

    /** A number to so many figures, never more than it is. */
    private static function said(float $value, int $figures): string
    {
        if ($value <= 0) {
            return '0';
        }
        $unit = 10 ** ((int) floor(log10($value)) - $figures + 1);

        return Format::number(floor($value / $unit + 1e-9) * $unit, $figures);
    }

    /** Down to the step of the scale or cup that would be used for so much, or to a step that is given. */
    public static function down(float $amount, ?float $step = null): float
    {
        $step =
            $step !== null && $step > 0
                ? $step
                : match (true) {
                    $amount < 1 => 0.01,
                    $amount < 20 => 0.1,
                    $amount < 500 => 1.0,
                    $amount < 5000 => 10.0,
                    default => 50.0,
                };

        return floor($amount / $step + 1e-9) * $step;
    }
}
