<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * A number typed with or without its unit into a field that has one: `2600 gal` where litres are asked for, `64f` where
 * °C are, `5 lb` where grams are. Without a unit it is in that of the field.
 *
 *     TypedQuantity::read('2600 gal', 'L')  →  9842.07
 *
 * @source legal-gallons @source legal-pound @source german-degree
 */
final readonly class TypedQuantity
{
    private const US_GALLON_L = 3.785411784;

    private const IMPERIAL_GALLON_L = 4.54609;

    private const POUND_G = 453.59237;

    private const INCH_M = 0.0254;

    /** By the way a unit is typed, in lower case and without spaces: how much of the base of its kind one of it is. */
    private const KINDS = [
        'volume' => [
            'l' => 1.0,
            'litre' => 1.0,
            'litres' => 1.0,
            'ml' => 0.001,
            'm3' => 1000.0,
            'm³' => 1000.0,
            'gal' => self::US_GALLON_L,
            'usgal' => self::US_GALLON_L,
            'impgal' => self::IMPERIAL_GALLON_L,
            'igal' => self::IMPERIAL_GALLON_L,
            'floz' => self::US_GALLON_L / 128,
        ],
        'flow' => [
            'l/h' => 1.0,
            'l/min' => 60.0,
            'l/d' => 1 / 24,
            'l/s' => 3600.0,
            'm3/h' => 1000.0,
            'm³/h' => 1000.0,
            'gph' => self::US_GALLON_L,
            'gpm' => 60 * self::US_GALLON_L,
            'gal/h' => self::US_GALLON_L,
            'gal/min' => 60 * self::US_GALLON_L,
            'usgal/h' => self::US_GALLON_L,
            'usgal/min' => 60 * self::US_GALLON_L,
            'l/day' => 1 / 24,
            'usgal/day' => self::US_GALLON_L / 24,
            'impgal/day' => self::IMPERIAL_GALLON_L / 24,
            'usgal/d' => self::US_GALLON_L / 24,
            'impgal/h' => self::IMPERIAL_GALLON_L,
            'impgal/min' => 60 * self::IMPERIAL_GALLON_L,
            'impgal/d' => self::IMPERIAL_GALLON_L / 24,
        ],
        'mass' => [
            'g' => 1.0,
            'kg' => 1000.0,
            'mg' => 0.001,
            'oz' => self::POUND_G / 16,
            'lb' => self::POUND_G,
            'lbs' => self::POUND_G,
        ],
        'mass a day' => ['g/d' => 1.0, 'g/day' => 1.0, 'oz/d' => self::POUND_G / 16, 'oz/day' => self::POUND_G / 16],
        'length' => [
            'm' => 1.0,
            'cm' => 0.01,
            'mm' => 0.001,
            'in' => self::INCH_M,
            '"' => self::INCH_M,
            'ft' => 12 * self::INCH_M,
        ],
        'mass a week' => ['gaweek' => 1.0, 'ozaweek' => self::POUND_G / 16],
        'salt' => ['g/l' => 1.0, 'ppt' => 1.0, '%' => 10.0],
    ];

    /**
     * Units of the carbonate and nitrogen bases, by what is typed; the base is mg/L as CaCO3, and as N.
     *
     * @return array<string, array<string, float>>
     */
    private static function bases(): array
    {
        $of = static fn(Unit $unit, Quantity $quantity): float => (float) $unit->factor($quantity);

        return [
            'carbonate' => [
                'dkh' => $of(Unit::CarbonateDegree, Quantity::Alkalinity),
                'dgh' => $of(Unit::HardnessDegree, Quantity::Hardness),
                'mg/lascaco3' => 1.0,
                'caco3' => 1.0,
                'mg/l' => 1.0,
                'ppm' => 1.0,
                'meq' => $of(Unit::Milliequivalent, Quantity::Alkalinity),
                'meq/l' => $of(Unit::Milliequivalent, Quantity::Alkalinity),
            ],
            'nitrate' => [
                'mg/lasn' => 1.0,
                'mg/lasno3' => $of(Unit::AsNitrate, Quantity::Nitrate),
                'no3' => $of(Unit::AsNitrate, Quantity::Nitrate),
                'n' => 1.0,
            ],
        ];
    }

    /**
     * @param  ?string  $unit  of the field, as written beside it
     * @return float in the unit of the field
     *
     * @throws UnreadableNumber for what is no number, or a unit the field cannot be in
     */
    public static function read(string $typed, ?string $unit): float
    {
        $text = trim($typed);
        if (
            preg_match(
                '/^(?<number>[-+\x{2212}]?[\d., ]*\d\.?|[-+]?\.\d+)\s*(?<suffix>[^\d\s.,].*)$/u',
                $text,
                $found,
            ) !== 1
        ) {
            return TypedNumber::read($typed)->value;
        }
        $suffix = self::plain($found['suffix']);
        $value = TypedNumber::read($found['number'])->value;
        $field = self::plain($unit ?? '');
        if ($suffix === $field) {
            return $value;
        }
        if (in_array($field, ['°c', 'c'], true) && in_array($suffix, ['c', '°c', 'f', '°f'], true)) {
            return str_ends_with($suffix, 'f') ? (($value - 32) * 5) / 9 : $value;
        }
        foreach ([...self::KINDS, ...self::bases()] as $factors) {
            if (isset($factors[$field], $factors[$suffix])) {
                return ($value * $factors[$suffix]) / $factors[$field];
            }
        }

        throw $unit === null
            ? UnreadableNumber::notANumber($typed)
            : UnreadableNumber::otherUnit(trim($found['suffix']), $unit);
    }

    /** A unit as it is compared: small letters, no spaces, plain figures. */
    private static function plain(string $unit): string
    {
        return str_replace(['₃', ' ', '.'], ['3', '', ''], mb_strtolower(trim($unit)));
    }
}
