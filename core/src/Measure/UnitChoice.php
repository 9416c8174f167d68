<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * The units one person reads in. All that is kept, computed and sent stays in litres, °C, grams and the bases of the
 * calculators; this says what a figure is called and how large it is for them.
 *
 *     implode(' ', UnitChoice::from(['volume' => 'us_gal'])->shown(3785.411784, 'L'))  →  1000 US gal
 *
 * @source legal-gallons @source legal-pound @source german-degree
 */
final readonly class UnitChoice
{
    private const HOUR_UNITS = ['L/h', 'L/min', 'L/d', 'L/day'];

    private const POUND_G = 453.59237;

    /** What can be chosen, the usual one first: the id kept of it and how it is said. */
    public const CHOICES = [
        'volume' => ['l' => 'litres', 'us_gal' => 'US gallons', 'imp_gal' => 'imperial gallons'],
        'temperature' => ['c' => '°C', 'f' => '°F'],
        'hardness' => ['degree' => 'German degrees, dKH and dGH', 'mg_l_caco3' => 'mg/L as CaCO₃'],
        'nitrate' => ['mg_l_no3' => 'mg/L as NO₃', 'mg_l_n' => 'mg/L as N'],
        'mass' => ['g' => 'grams and kilograms', 'oz' => 'ounces and pounds'],
    ];

    public const NAMES = [
        'volume' => 'Volume and flow',
        'temperature' => 'Temperature',
        'hardness' => 'KH and GH',
        'nitrate' => 'Nitrate',
        'mass' => 'Weight',
    ];

    /** @param  array<string, string>  $chosen  by what is chosen */
    private function __construct(public array $chosen) {}

    /** @param  array<array-key, mixed>  $kept  what was never chosen, or is no choice, is the usual one */
    public static function from(array $kept): self
    {
        $chosen = [];
        foreach (self::CHOICES as $what => $choices) {
            $one = $kept[$what] ?? null;
            $chosen[$what] = is_string($one) && isset($choices[$one]) ? $one : array_key_first($choices);
        }

        return new self($chosen);
    }

    public function usual(): bool
    {
        return $this->chosen === self::from([])->chosen;
    }

    /**
     * How a figure in one of our units reads in theirs.
     *
     * @return ?ShownUnit null where it stays as it is
     */
    public function unit(string $unit): ?ShownUnit
    {
        return $this->units()[$unit] ?? null;
    }

    /** @return array<string, ShownUnit> by the unit it is in with us */
    public function units(): array
    {
        return [
            ...$this->ofVolume(),
            ...$this->chosen['temperature'] === 'f' ? ['°C' => new ShownUnit('°F', 9 / 5, 32.0)] : [],
            ...$this->ofHardness(),
            ...$this->chosen['nitrate'] === 'mg_l_n'
                ? ['mg/L as NO₃' => new ShownUnit(Unit::AsNitrogen->symbol(), MolarMass::N / MolarMass::NO3)]
                : [],
            ...$this->ofMass(),
        ];
    }

    /** The unit a reading is in where none was typed with it: the first that a parameter has, or the chosen one. */
    public function ofReading(Quantity $quantity): ?Unit
    {
        return match ($quantity) {
            Quantity::Temperature => $this->chosen['temperature'] === 'f' ? Unit::Fahrenheit : null,
            Quantity::Alkalinity, Quantity::Hardness => $this->chosen['hardness'] === 'mg_l_caco3'
                ? Unit::AsCalciumCarbonate
                : null,
            Quantity::Nitrate => $this->chosen['nitrate'] === 'mg_l_n' ? Unit::AsNitrogen : null,
            Quantity::Volume => $this->gallon(),
            default => null,
        };
    }

    /** @return array{float, string} */
    public function shown(float $value, string $unit): array
    {
        $shown = $this->unit($unit);

        return $shown === null ? [$value, $unit] : [$shown->of($value), $shown->symbol];
    }

    private function gallon(): ?Unit
    {
        $unit = Unit::from($this->chosen['volume']);

        return $unit === Unit::Litre ? null : $unit;
    }

    /** @return array<string, ShownUnit> */
    private function ofVolume(): array
    {
        $gallon = $this->gallon();
        if ($gallon === null) {
            return [];
        }
        $each = 1 / (float) $gallon->factor(Quantity::Volume);
        $units = ['L' => new ShownUnit($gallon->symbol(), $each)];
        foreach (self::HOUR_UNITS as $unit) {
            $units[$unit] = new ShownUnit($gallon->symbol() . substr($unit, 1), $each);
        }
        $units['m³'] = new ShownUnit($gallon->symbol(), 1000 * $each);
        $units['m³/h'] = new ShownUnit($gallon->symbol() . '/h', 1000 * $each);

        return $units;
    }

    /** @return array<string, ShownUnit> */
    private function ofHardness(): array
    {
        if ($this->chosen['hardness'] === 'degree') {
            return [];
        }
        $of = static fn(Unit $degree, Quantity $quantity): ShownUnit => new ShownUnit(
            Unit::AsCalciumCarbonate->symbol(),
            (float) $degree->factor($quantity),
        );

        return [
            'dKH' => $of(Unit::CarbonateDegree, Quantity::Alkalinity),
            'dGH' => $of(Unit::HardnessDegree, Quantity::Hardness),
        ];
    }

    /** @return array<string, ShownUnit> */
    private function ofMass(): array
    {
        if ($this->chosen['mass'] === 'g') {
            return [];
        }
        $ounce = 16 / self::POUND_G;

        return [
            'g' => new ShownUnit('oz', $ounce),
            'kg' => new ShownUnit('lb', 1000 / self::POUND_G),
            'g/d' => new ShownUnit('oz/d', $ounce),
            'g/day' => new ShownUnit('oz/day', $ounce),
            'g a week' => new ShownUnit('oz a week', $ounce),
        ];
    }
}
