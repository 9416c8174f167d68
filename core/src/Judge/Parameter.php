<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;

/**
 * What keepers measure, and the figures that follow from it.
 *
 * The value of each case is the canonical key; canonical units are those of the calculators.
 */
enum Parameter: string
{
    case Ammonia = 'tan_mg_l';
    case Nitrite = 'no2_n_mg_l';
    case Nitrate = 'no3_n_mg_l';
    case Ph = 'ph';
    case Temperature = 'temp_c';
    case Oxygen = 'do_mg_l';
    case Alkalinity = 'alkalinity_mg_l';
    case Hardness = 'hardness_mg_l';
    case Salinity = 'salinity_g_l';
    case Chlorine = 'chlorine_mg_l';
    case Redox = 'redox_mv';
    case Clarity = 'clarity_cm';
    case Silt = 'silt_cm';
    case UnionisedAmmonia = 'nh3_n_mg_l';
    case OxygenSaturation = 'do_sat_pct';
    case CarbonDioxide = 'co2_mg_l';

    /** @return list<self> what is read off a kit or probe, in the order it is usually done */
    public static function measured(): array
    {
        return [
            self::Ammonia,
            self::Nitrite,
            self::Nitrate,
            self::Ph,
            self::Temperature,
            self::Oxygen,
            self::Alkalinity,
            self::Hardness,
            self::Salinity,
            self::Chlorine,
            self::Redox,
            self::Clarity,
            self::Silt,
        ];
    }

    /** @return list<self> what follows from what is measured */
    public static function derived(): array
    {
        return [self::UnionisedAmmonia, self::OxygenSaturation, self::CarbonDioxide];
    }

    /** @return list<self> the readings a derived one is worked out from; none for what is measured */
    public function follows(): array
    {
        return match ($this) {
            self::UnionisedAmmonia => [self::Ammonia, self::Ph, self::Temperature],
            self::OxygenSaturation => [self::Oxygen, self::Temperature],
            self::CarbonDioxide => [self::Ph, self::Alkalinity, self::Temperature],
            default => [],
        };
    }

    public function name(): string
    {
        return match ($this) {
            self::Ammonia => 'Ammonia',
            self::Nitrite => 'Nitrite',
            self::Nitrate => 'Nitrate',
            self::Ph => 'pH',
            self::Temperature => 'Temperature',
            self::Oxygen => 'Oxygen',
            self::Alkalinity => 'KH',
            self::Hardness => 'GH',
            self::Salinity => 'Salt',
            self::Chlorine => 'Chlorine',
            self::Redox => 'Redox',
            self::Clarity => 'Clarity',
            self::Silt => 'Silt',
            self::UnionisedAmmonia => 'Un-ionised ammonia',
            self::OxygenSaturation => 'Oxygen saturation',
            self::CarbonDioxide => 'CO₂',
        };
    }

    /** Its name within a sentence: signs stay as they are written. */
    public function inSentence(): string
    {
        return match ($this) {
            self::Ph, self::Alkalinity, self::Hardness, self::CarbonDioxide => $this->name(),
            default => lcfirst($this->name()),
        };
    }

    /** The word that names it in the log bar. */
    public function code(): ?string
    {
        return match ($this) {
            self::Ammonia => 'am',
            self::Nitrite => 'ni',
            self::Nitrate => 'na',
            self::Ph => 'ph',
            self::Temperature => 't',
            self::Oxygen => 'do',
            self::Alkalinity => 'kh',
            self::Hardness => 'gh',
            self::Salinity => 'sa',
            self::Chlorine => 'cl',
            self::Redox => 'rx',
            self::Clarity => 'cy',
            self::Silt => 'si',
            default => null,
        };
    }

    public function quantity(): ?Quantity
    {
        return match ($this) {
            self::Ammonia, self::UnionisedAmmonia => Quantity::Ammonia,
            self::Nitrite => Quantity::Nitrite,
            self::Nitrate => Quantity::Nitrate,
            self::Temperature => Quantity::Temperature,
            self::Alkalinity => Quantity::Alkalinity,
            self::Hardness => Quantity::Hardness,
            self::Salinity => Quantity::Salt,
            default => null,
        };
    }

    /** @return list<Unit> units it may be typed in, the keeper's usual one first; empty where there is only one */
    public function units(): array
    {
        return match ($this) {
            self::Nitrate => [Unit::AsNitrate, Unit::AsNitrogen],
            self::Hardness => [Unit::HardnessDegree, Unit::AsCalciumCarbonate],
            self::Salinity => [Unit::GramPerLitre, Unit::Percent],
            self::Alkalinity => [Unit::CarbonateDegree, Unit::AsCalciumCarbonate, Unit::Milliequivalent],
            default => $this->quantity() === null ? [] : Unit::of($this->quantity()),
        };
    }

    /** The unit it is shown in, as written beside the number; null for pH. */
    public function symbol(): ?string
    {
        return match ($this) {
            self::Ph => null,
            self::Oxygen, self::Chlorine, self::CarbonDioxide => 'mg/L',
            self::Redox => 'mV',
            self::Clarity, self::Silt => 'cm',
            self::OxygenSaturation => '%',
            default => $this->units()[0]->symbol(),
        };
    }

    /** From the canonical unit to the one it is shown in. */
    public function shown(float $canonical): float
    {
        $quantity = $this->quantity();

        return $quantity === null ? $canonical : $this->units()[0]->fromCanonical($canonical, $quantity);
    }

    /**
     * A reading as it is shown among others of its kind, whatever unit it was typed in.
     *
     * @param  string  $typed  what stands before it, “<” or “>”, is kept
     */
    public function reads(float $canonical, string $typed = ''): string
    {
        $mark = preg_match('/^[<>]/', $typed, $found) === 1 ? $found[0] : '';

        return trim($mark . Format::number($this->shown($canonical), 3) . ' ' . $this->symbol());
    }

    /** @return array{float, float} what water with a fish house round it can be, in canonical units */
    public function possible(): array
    {
        return match ($this) {
            self::Ammonia, self::Nitrite, self::UnionisedAmmonia => [0.0, 200.0],
            self::Nitrate => [0.0, 500.0],
            self::Ph => [4.0, 11.0],
            self::Temperature => [0.0, 40.0],
            self::Oxygen => [0.0, 30.0],
            self::OxygenSaturation => [0.0, 400.0],
            self::CarbonDioxide => [0.0, 1000.0],
            self::Alkalinity, self::Hardness => [0.0, 1000.0],
            self::Salinity => [0.0, 40.0],
            self::Chlorine => [0.0, 10.0],
            self::Redox => [-500.0, 1000.0],
            self::Clarity => [0.0, 1000.0],
            self::Silt => [0.0, 200.0],
        };
    }

    /**
     * The coarsest step an ordinary kit has near the limits, in canonical units. A round number may be
     * typed more shortly than it was read: “0” off a colour card does not mean anything up to a half.
     *
     * @source cp-kit-steps
     */
    public function usualStep(): float
    {
        return match ($this) {
            self::Ammonia, self::UnionisedAmmonia => 0.25,
            self::Nitrite => 0.1,
            self::Nitrate => 1.13,
            self::Ph => 0.5,
            self::Temperature, self::Oxygen => 1.0,
            self::OxygenSaturation, self::CarbonDioxide => 5.0,
            self::Alkalinity, self::Hardness => 17.85,
            self::Salinity => 0.5,
            self::Chlorine => 0.1,
            self::Redox => 20.0,
            self::Clarity => 10.0,
            self::Silt => 1.0,
        };
    }
}
