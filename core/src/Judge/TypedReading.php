<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Measure\Say;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Measure\UnreadableNumber;

/**
 * A reading as a keeper types it: a number, and the unit of the kit.
 *
 * It stands for an interval: half a unit of the last digit typed to either side, and never more than
 * half a step of an ordinary kit.
 */
final readonly class TypedReading
{
    /**
     * @param  ?string  $unit  id of a unit; the keeper's usual one when null
     *
     * @throws UnreadableReading with a message for the field
     */
    public static function read(Parameter $parameter, string $typed, ?string $unit): Reading
    {
        $chosen = self::unit($parameter, $unit);
        try {
            $number = TypedNumber::read($typed);
        } catch (UnreadableNumber $fault) {
            throw new UnreadableReading($fault->getMessage());
        }
        $quantity = $parameter->quantity();
        $canonical = static fn (float $value): float => $chosen !== null && $quantity !== null ? $chosen->toCanonical($value, $quantity) : $value;
        $value = $canonical($number->value);
        [$least, $most] = $parameter->possible();
        if ($value < $least || $value > $most) {
            throw new UnreadableReading(self::outOfRange($parameter, $number->value, $least, $most, $chosen));
        }
        $fineness = min(abs($canonical($number->value + $number->halfStep) - $value), $parameter->usualStep() / 2);

        return new Reading($parameter, $value, Interval::between(min($value, max($least, $value - $fineness)), $value + $fineness));
    }

    private static function unit(Parameter $parameter, ?string $id): ?Unit
    {
        if ($id === null) {
            return $parameter->units()[0] ?? null;
        }
        foreach ($parameter->units() as $unit) {
            if ($unit->value === $id) {
                return $unit;
            }
        }
        throw new UnreadableReading("{$parameter->name()} is not read in {$id}.");
    }

    private static function outOfRange(Parameter $parameter, float $typed, float $least, float $most, ?Unit $unit): string
    {
        $quantity = $parameter->quantity();
        $shown = static fn (float $value): string => Say::number($unit !== null && $quantity !== null ? $unit->fromCanonical($value, $quantity) : $value, 3);
        $symbol = $unit === null ? $parameter->symbol() : $unit->symbol();

        return "{$parameter->name()} cannot be ".Say::number($typed, 6).": it lies between {$shown($least)} and {$shown($most)}".($symbol === null ? '' : " {$symbol}").'.';
    }
}
