<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * Units as keepers meet them, with their factor to the canonical unit of each quantity.
 *
 * Canonical: litres; mg/L as nitrogen; mg/L as CaCO3; g/L; °C. The bases matter: a nitrate kit
 * that reads as the ion shows 4.43 times the figure of one that reads as nitrogen.
 */
enum Unit: string
{
    case Litre = 'l';
    case CubicMetre = 'm3';
    case UsGallon = 'us_gal';
    case ImperialGallon = 'imp_gal';
    case AsNitrogen = 'mg_l_n';
    case AsNitrate = 'mg_l_no3';
    case AsNitrite = 'mg_l_no2';
    case AsAmmonium = 'mg_l_nh4';
    case AsAmmonia = 'mg_l_nh3';
    case AsCalciumCarbonate = 'mg_l_caco3';
    case CarbonateDegree = 'dkh';
    case HardnessDegree = 'dgh';
    case Milliequivalent = 'meq_l';
    case GramPerLitre = 'g_l';
    case PartsPerThousand = 'ppt';
    case Percent = 'pct';
    case PoundPerHundredUsGallons = 'lb_100usgal';
    case TeaspoonOfSalt = 'tsp_salt';
    case Celsius = 'c';
    case Fahrenheit = 'f';

    /** @source legal-gallons @source legal-pound */
    private const US_GALLON_L = 3.785411784;

    private const IMPERIAL_GALLON_L = 4.54609;

    private const POUND_G = 453.59237;

    /** A level teaspoon of pond salt; @source cp-teaspoon-salt */
    public const TEASPOON_SALT_G = 6.0;

    /** 1 °dH is 10 mg/L as CaO; @source german-degree */
    private const DEGREE_CAO_MG_L = 10.0;

    /** How much of the canonical unit one of these is; null where the quantity does not use this unit. */
    public function factor(Quantity $quantity): ?float
    {
        $degree = (self::DEGREE_CAO_MG_L * MolarMass::CACO3) / MolarMass::CAO;

        return match ($quantity) {
            Quantity::Volume => match ($this) {
                self::Litre => 1.0,
                self::CubicMetre => 1000.0,
                self::UsGallon => self::US_GALLON_L,
                self::ImperialGallon => self::IMPERIAL_GALLON_L,
                default => null,
            },
            Quantity::Nitrate => match ($this) {
                self::AsNitrogen => 1.0,
                self::AsNitrate => MolarMass::N / MolarMass::NO3,
                default => null,
            },
            Quantity::Nitrite => match ($this) {
                self::AsNitrogen => 1.0,
                self::AsNitrite => MolarMass::N / MolarMass::NO2,
                default => null,
            },
            Quantity::Ammonia => match ($this) {
                self::AsNitrogen => 1.0,
                self::AsAmmonium => MolarMass::N / MolarMass::NH4,
                self::AsAmmonia => MolarMass::N / MolarMass::NH3,
                default => null,
            },
            Quantity::Alkalinity => match ($this) {
                self::AsCalciumCarbonate => 1.0,
                self::CarbonateDegree => $degree,
                self::Milliequivalent => MolarMass::CACO3 / 2,
                default => null,
            },
            Quantity::Hardness => match ($this) {
                self::AsCalciumCarbonate => 1.0,
                self::HardnessDegree => $degree,
                self::Milliequivalent => MolarMass::CACO3 / 2,
                default => null,
            },
            Quantity::Salt => match ($this) {
                self::GramPerLitre, self::PartsPerThousand => 1.0,
                self::Percent => 10.0,
                self::PoundPerHundredUsGallons => self::POUND_G / (100 * self::US_GALLON_L),
                self::TeaspoonOfSalt => self::TEASPOON_SALT_G,
                default => null,
            },
            Quantity::Temperature => $this === self::Celsius ? 1.0 : ($this === self::Fahrenheit ? 5 / 9 : null),
        };
    }

    /** Where the scale starts in this unit: only Fahrenheit does not start at the canonical zero. */
    public function zero(): float
    {
        return $this === self::Fahrenheit ? 32.0 : 0.0;
    }

    /** As written beside a number. */
    public function symbol(): string
    {
        return match ($this) {
            self::Litre => 'L',
            self::CubicMetre => 'm³',
            self::UsGallon => 'US gal',
            self::ImperialGallon => 'imp gal',
            self::AsNitrogen => 'mg/L as N',
            self::AsNitrate => 'mg/L as NO₃',
            self::AsNitrite => 'mg/L as NO₂',
            self::AsAmmonium => 'mg/L as NH₄',
            self::AsAmmonia => 'mg/L as NH₃',
            self::AsCalciumCarbonate => 'mg/L as CaCO₃',
            self::CarbonateDegree => 'dKH',
            self::HardnessDegree => 'dGH',
            self::Milliequivalent => 'meq/L',
            self::GramPerLitre => 'g/L',
            self::PartsPerThousand => 'ppt',
            self::Percent => '% (10 g/L)',
            self::PoundPerHundredUsGallons => 'lb per 100 US gal',
            self::TeaspoonOfSalt => 'tsp of salt per litre',
            self::Celsius => '°C',
            self::Fahrenheit => '°F',
        };
    }

    /** @return list<Unit> the units that measure a quantity */
    public static function of(Quantity $quantity): array
    {
        return array_values(
            array_filter(self::cases(), static fn(Unit $unit): bool => $unit->factor($quantity) !== null),
        );
    }

    /**
     * @throws \LogicException when this unit does not measure that quantity
     */
    public function toCanonical(float $value, Quantity $quantity): float
    {
        return ($value - $this->zero()) * $this->factorFor($quantity);
    }

    /**
     * @throws \LogicException when this unit does not measure that quantity
     */
    public function fromCanonical(float $value, Quantity $quantity): float
    {
        return $value / $this->factorFor($quantity) + $this->zero();
    }

    private function factorFor(Quantity $quantity): float
    {
        return $this->factor($quantity) ??
            throw new \LogicException("{$this->value} does not measure {$quantity->value}.");
    }
}
