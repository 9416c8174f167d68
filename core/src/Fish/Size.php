<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Words\Message;

/**
 * How big a fish is, from what was measured of it: a length, a weight, or both.
 *
 * What is missing follows from the condition factor; where both were measured the factor follows from them, and one
 * that no living fish has (under 0.5, over 3) is refused as a mistyped figure. Length in cm, weight in g.
 *
 *     Size::of(50.0, 1875.0)->condition  →  1.5
 *
 * @source fulton-condition
 */
final readonly class Size
{
    private const THINNEST = 0.5;

    private const STOUTEST = 3.0;

    /** @param  ?float  $weightG  as weighed; null where only the length was taken */
    private function __construct(public float $lengthCm, public ?float $weightG, public float $condition) {}

    /** @throws BadInput at `length_cm` where nothing was measured, at `weight_g` where the two cannot be of one fish */
    public static function of(?float $lengthCm, ?float $weightG, float $condition = Condition::USUAL): self
    {
        if ($lengthCm === null && $weightG === null) {
            $said = Message::of('fish.size_missing');

            throw BadInput::at('length_cm', $said->text, [$said->code]);
        }
        if ($lengthCm === null) {
            return new self(Condition::length((float) $weightG, $condition), $weightG, $condition);
        }
        if ($weightG === null) {
            return new self($lengthCm, null, $condition);
        }
        $factor = Condition::factor($lengthCm, $weightG);
        if ($factor < self::THINNEST || $factor > self::STOUTEST) {
            $said = Message::of('fish.size_cannot_be', ['factor' => round($factor, 2)]);

            throw BadInput::at('weight_g', $said->text, [$said->code]);
        }

        return new self($lengthCm, $weightG, $factor);
    }
}
