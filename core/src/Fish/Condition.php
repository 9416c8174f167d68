<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/**
 * Fulton's condition factor: how heavy a fish is for its length.
 *
 * Total length in cm, weight in g. Carp run from 1.3 (lean) to 1.8 (stout).
 *
 *     Condition::weight(50.0, 1.5)  →  1875.0
 *
 * @source fulton-condition  @source carp-condition
 */
final readonly class Condition
{
    public const USUAL = 1.5;

    public const LEAN = 1.3;

    public const STOUT = 1.8;

    public static function weight(float $lengthCm, float $condition = self::USUAL): float
    {
        return ($condition * $lengthCm ** 3) / 100;
    }

    /** The length of a fish of this weight, cm. */
    public static function length(float $weightG, float $condition = self::USUAL): float
    {
        return ((100 * $weightG) / $condition) ** (1 / 3);
    }

    /** The factor of a fish that was measured and weighed. */
    public static function factor(float $lengthCm, float $weightG): float
    {
        return (100 * $weightG) / $lengthCm ** 3;
    }
}
