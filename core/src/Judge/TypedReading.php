<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Measure\UnreadableNumber;

/**
 * A reading as a keeper types it: a number, and the unit of the kit.
 *
 * It stands for an interval: half a unit of the last digit typed to either side, and never more than
 * half a step of an ordinary kit; or what the kit it was read on says. `>8` is at least 8, `<0.1` at most
 * 0.1, and `1.5x4` was read in a sample thinned four times.
 */
final readonly class TypedReading
{
    /** Units as they are typed behind a number. */
    private const SUFFIXES = [
        'n' => 'mg_l_n',
        'no3' => 'mg_l_no3',
        'no2' => 'mg_l_no2',
        'nh4' => 'mg_l_nh4',
        'nh3' => 'mg_l_nh3',
        'dkh' => 'dkh',
        'caco3' => 'mg_l_caco3',
        'meq' => 'meq_l',
        'c' => 'c',
        'f' => 'f',
        'g/l' => 'g_l',
    ];

    /**
     * @param  ?string  $unit  id of a unit; the keeper's usual one when null
     *
     * @throws UnreadableReading with a message for the field
     */
    public static function read(Parameter $parameter, string $typed, ?string $unit, ?Kit $kit = null): Reading
    {
        [$typed, $named] = self::withUnit($parameter, trim($typed));
        $chosen = self::unit($parameter, $named ?? $unit);
        [$typed, $bound, $thinned] = self::apart($parameter, trim($typed));
        try {
            $number = TypedNumber::read($typed);
        } catch (UnreadableNumber $fault) {
            throw new UnreadableReading($fault->getMessage());
        }
        $quantity = $parameter->quantity();
        $canonical = static fn(float $value): float => $chosen !== null && $quantity !== null
            ? $chosen->toCanonical($value, $quantity)
            : $value;
        $value = $canonical($number->value * $thinned);
        [$least, $most] = $parameter->possible();
        if ($value < $least || $value > $most) {
            throw new UnreadableReading(self::outOfRange($parameter, $number->value, $least, $most, $chosen));
        }
        if ($bound !== null) {
            return $bound === '>'
                ? new Reading($parameter, $value, Interval::between($value, $most))
                : new Reading($parameter, ($least + $value) / 2, Interval::between($least, $value));
        }
        $read = $kit?->interval($number->value);
        $fineness = min(
            abs($canonical(($number->value + $number->halfStep) * $thinned) - $value),
            ($thinned * $parameter->usualStep()) / 2,
        );
        $low = $read === null ? $value - $fineness : $canonical($read->low * $thinned);
        $high = $read === null ? $value + $fineness : min($most, $canonical($read->high * $thinned));

        return new Reading(
            $parameter,
            $value,
            Interval::between(
                $kit?->atItsStart($number->value) === true ? $least : min($value, max($least, $low)),
                $kit?->atItsEnd($number->value) === true ? $most : max($value, $high),
            ),
        );
    }

    /**
     * What is typed apart from the unit that is typed with it, as `64f` or `4.5n`.
     *
     * @return array{string, ?string} the number, and the id of the unit; null where none was typed
     *
     * @throws UnreadableReading for a unit that is not known
     */
    public static function withUnit(Parameter $parameter, string $text): array
    {
        if (preg_match('/^([<>]?\s*[\d.,]+(?:\s*[x×]\s*\d+)?)\s*([a-wyz°%][a-z0-9\/ °]*)$/iu', $text, $parts) !== 1) {
            return [$text, null];
        }
        $suffix = str_replace([' ', '°'], '', mb_strtolower($parts[2]));
        $unit = match (true) {
            $parameter === Parameter::Hardness && $suffix === 'dgh' => Unit::HardnessDegree->value,
            $parameter === Parameter::Salinity && $suffix === '%' => Unit::Percent->value,
            default => self::SUFFIXES[$suffix] ?? null,
        };

        return [trim($parts[1]), $unit ?? throw new UnreadableReading("“{$parts[2]}” is not a unit known here.")];
    }

    /** @return array{string, ?string, float} the number, “>” or “<”, and how far the sample was thinned */
    private static function apart(Parameter $parameter, string $typed): array
    {
        $bound = null;
        if ($typed !== '' && ($typed[0] === '>' || $typed[0] === '<')) {
            [$bound, $typed] = [$typed[0], trim(substr($typed, 1))];
        }
        if (preg_match('/^(.*\d)\s*[x×]\s*(\d{1,3})$/u', $typed, $parts) === 1) {
            if ((int) $parts[2] < 1) {
                throw new UnreadableReading('A sample is thinned one time or more.');
            }
            if (
                in_array(
                    $parameter,
                    [Parameter::Ph, Parameter::Temperature, Parameter::Redox, Parameter::Clarity, Parameter::Silt],
                    true,
                )
            ) {
                throw new UnreadableReading("{$parameter->name()} cannot be read in a thinned sample.");
            }

            return [$parts[1], $bound, (float) $parts[2]];
        }

        return [$typed, $bound, 1.0];
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

    private static function outOfRange(
        Parameter $parameter,
        float $typed,
        float $least,
        float $most,
        ?Unit $unit,
    ): string {
        $quantity = $parameter->quantity();
        $shown = static fn(float $value): string => Format::number(
            $unit !== null && $quantity !== null ? $unit->fromCanonical($value, $quantity) : $value,
            3,
        );
        $symbol = $unit === null ? $parameter->symbol() : $unit->symbol();

        return "{$parameter->name()} cannot be " .
            Format::number($typed, 6) .
            ": it lies between {$shown($least)} and {$shown($most)}" .
            ($symbol === null ? '' : " {$symbol}") .
            '.';
    }
}
