<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * Waters by what was measured in them, and what they are when mixed.
 *
 * All mixes by volume but pH, which follows from the alkalinity and the carbon of both, closed to the air.
 * Canonical keys and units; any subset, the same in both waters.
 */
final readonly class WaterMix
{
    /** What CO2 stands at in aired water, mg/L. */
    private const AIRED_CO2_MG_L = 0.5;

    public const KEYS = [
        'tan_mg_l',
        'no2_n_mg_l',
        'no3_n_mg_l',
        'alkalinity_mg_l',
        'hardness_mg_l',
        'temp_c',
        'ph',
        'salinity_g_l',
    ];

    /** @param  array<string, float>  $values */
    private function __construct(public array $values) {}

    /**
     * Of what is known to mix: the same keys are known of whatever it is mixed with.
     *
     * @param  array<string, float>  $values
     */
    public static function known(array $values): self
    {
        return new self(array_intersect_key($values, array_flip(self::KEYS)));
    }

    public static function input(string $key, string $label): Input
    {
        return Input::object($key, $label, self::fields());
    }

    /** By how much each may move: from nothing up, pH too. */
    public static function limits(string $key, string $label): Input
    {
        return Input::object(
            $key,
            $label,
            array_map(
                static fn(Input $field): Input => Input::number(
                    $field->key,
                    $field->label,
                    $field->unit,
                    0,
                    $field->max ?? 1000,
                ),
                self::fields(),
            ),
        );
    }

    /** @return list<Input> */
    public static function fields(): array
    {
        return [
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 1000),
            Input::number('no2_n_mg_l', 'Nitrite', 'mg/L as N', 0, 1000),
            Input::number('no3_n_mg_l', 'Nitrate', 'mg/L as N', 0, 1000),
            Input::number('alkalinity_mg_l', 'Alkalinity', 'mg/L as CaCO₃', 0, 1000),
            Input::number('hardness_mg_l', 'Hardness', 'mg/L as CaCO₃', 0, 2000),
            Input::number('temp_c', 'Temperature', '°C', 0, 40),
            Input::number('ph', 'pH', null, 4, 11),
            Input::number('salinity_g_l', 'Salinity', 'g/L', 0, 40),
        ];
    }

    /** @return list<Input> what of it is made in a day, g */
    public static function made(): array
    {
        return array_map(
            static fn(Input $field): Input => Input::number($field->key, $field->label, 'g/d', 0, 1e6),
            array_values(
                array_filter(
                    self::fields(),
                    static fn(Input $field): bool => in_array($field->unit, ['mg/L as N', 'mg/L as CaCO₃'], true),
                ),
            ),
        );
    }

    /** What a key stands for, in words. */
    public static function label(string $key): string
    {
        return (array_column(self::fields(), null, 'key')[$key] ?? null)->label ?? $key;
    }

    /** A figure of it in words, as “nitrate 3.16 mg/L as N”. */
    public static function say(string $key, float $value): string
    {
        return trim(
            lcfirst(self::label($key)) .
                ' ' .
                Format::number($value, 3) .
                ' ' .
                ((array_column(self::fields(), null, 'key')[$key] ?? null)->unit ?? ''),
        );
    }

    /**
     * Two waters that can be mixed.
     *
     * @return array{self, self}
     *
     * @throws BadInput where something is known of one of them only, or pH without what it follows from
     */
    public static function pair(Given $given): array
    {
        $now = $given->object('now')?->numbers() ?? [];
        $source = $given->object('source')?->numbers() ?? [];
        $errors = [];
        foreach (array_diff_key($now, $source) as $key => $value) {
            $errors["source.{$key}"] = 'This is given for the system and not for the new water.';
        }
        foreach (array_diff_key($source, $now) as $key => $value) {
            $errors["now.{$key}"] = 'This is given for the new water and not for the system.';
        }
        if ($now === [] && $source === []) {
            $errors['now'] = 'Say what is in the water.';
        }
        if (isset($now['ph']) && !isset($now['alkalinity_mg_l'], $now['temp_c'])) {
            $errors['now.ph'] = 'pH does not mix by itself: it needs alkalinity and temperature on both sides.';
        }

        return $errors === [] ? [new self($now), new self($source)] : throw new BadInput($errors);
    }

    /** @param  float  $share  of the other water in the mix, 0 to 1 */
    public function with(self $other, float $share): self
    {
        $mixed = [];
        foreach ($this->values as $key => $value) {
            $mixed[$key] = (1 - $share) * $value + $share * $other->values[$key];
        }
        if (isset($this->values['ph'])) {
            $carbon =
                (1 - $share) * $this->carbonate()->totalCarbon($this->values['ph']) +
                $share * $other->carbonate()->totalCarbon($other->values['ph']);
            $mixed['ph'] = (new self($mixed))->carbonate()->phWithTotalCarbon($carbon);
        }

        return new self($mixed);
    }

    /**
     * The same after a part of a day in which so much was made.
     *
     * @param  array<string, float>  $made  mg/L a day by key
     */
    public function plus(array $made, float $days): self
    {
        $values = $this->values;
        foreach ($made as $key => $aDay) {
            if (isset($values[$key])) {
                $values[$key] = max(0.0, $values[$key] + $aDay * $days);
            }
        }

        return new self($values);
    }

    /** Un-ionised ammonia, mg/L as N; null where it does not follow from what is known. */
    public function unionised(): ?float
    {
        return isset($this->values['tan_mg_l'], $this->values['ph'], $this->values['temp_c'])
            ? UnionisedAmmonia::of(
                $this->values['tan_mg_l'],
                $this->values['ph'],
                $this->values['temp_c'],
                $this->values['salinity_g_l'] ?? 0.0,
            )->nh3N
            : null;
    }

    /** The same once the water is aired, and its pH has risen to what its KH holds. */
    public function airedUnionised(): ?float
    {
        $aired = $this->airedPh();

        return $aired === null ? null : (new self([...$this->values, 'ph' => $aired]))->unionised();
    }

    /** pH at a CO2 of 0.5 mg/L; null without alkalinity and temperature. */
    public function airedPh(): ?float
    {
        return isset($this->values['alkalinity_mg_l'], $this->values['temp_c'])
            ? $this->carbonate()->phWithCo2(self::AIRED_CO2_MG_L)
            : null;
    }

    /** @return object|array<string, float> an object even when empty */
    public function figures(): object|array
    {
        return $this->values === [] ? new \stdClass() : $this->values;
    }

    private function carbonate(): Carbonate
    {
        return new Carbonate(
            $this->values['temp_c'] ?? AssumedWater::TEMPERATURE_C,
            $this->values['alkalinity_mg_l'] ?? 0.0,
            $this->values['salinity_g_l'] ?? 0.0,
        );
    }
}
