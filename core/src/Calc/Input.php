<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/**
 * One declared input of a calculator: its key, unit, type and valid range.
 *
 * Made by the named factories and narrowed by `or()` (a default that is shown as assumed) or
 * `optional()` (may be left out, and then has no value at all). Ranges are inclusive.
 *
 *     Input::number('salinity_g_l', 'Salinity', 'g/L', 0, 40)->or(0)
 */
final readonly class Input
{
    /**
     * @param  list<string>  $allowed  the only texts accepted; empty for free text
     * @param  list<Input>  $fields  what each row holds, for rows
     */
    private function __construct(
        public string $key,
        public string $label,
        public ?string $unit,
        public InputType $type,
        public ?float $min = null,
        public ?float $max = null,
        public array $allowed = [],
        public array $fields = [],
        public bool $required = true,
        public float|string|bool|null $default = null,
        public ?string $insteadOf = null,
    ) {}

    public static function number(string $key, string $label, ?string $unit, float $min, float $max): self
    {
        return new self($key, $label, $unit, InputType::Number, $min, $max);
    }

    /** @param  list<string>  $allowed */
    public static function choice(string $key, string $label, array $allowed): self
    {
        return new self($key, $label, null, InputType::Text, allowed: $allowed);
    }

    /**
     * Several texts out of a list.
     *
     * @param  list<string>  $allowed
     */
    public static function choices(string $key, string $label, array $allowed): self
    {
        return new self($key, $label, null, InputType::Texts, allowed: $allowed);
    }

    /** Yes or no. */
    public static function flag(string $key, string $label): self
    {
        return new self($key, $label, null, InputType::Flag);
    }

    /** Free text of at most `$longest` characters. */
    public static function text(string $key, string $label, int $longest): self
    {
        return new self($key, $label, null, InputType::Text, max: $longest);
    }

    /**
     * A list of rows, each with the same fields.
     *
     * @param  list<Input>  $fields
     */
    public static function rows(string $key, string $label, array $fields, int $fewest, int $most): self
    {
        return new self($key, $label, null, InputType::Rows, $fewest, $most, fields: $fields);
    }

    /**
     * Named values in one object; each of them may be left out.
     *
     * @param  list<Input>  $fields
     */
    public static function object(string $key, string $label, array $fields): self
    {
        return new self(
            $key,
            $label,
            null,
            InputType::Object,
            fields: array_map(static fn(Input $field): Input => $field->optional(), $fields),
        );
    }

    /** May be left out; the default then stands in and is named as assumed. */
    public function or(float|string|bool $default): self
    {
        return $this->relaxed($default);
    }

    /** May be left out, and then there is no value. */
    public function optional(): self
    {
        return $this->relaxed(null);
    }

    /** May be given in place of another input, whose default then does not stand in; never with it. */
    public function insteadOf(string $key): self
    {
        return new self(
            key: $this->key,
            label: $this->label,
            unit: $this->unit,
            type: $this->type,
            min: $this->min,
            max: $this->max,
            allowed: $this->allowed,
            fields: $this->fields,
            required: false,
            default: null,
            insteadOf: $key,
        );
    }

    private function relaxed(float|string|bool|null $default): self
    {
        return new self(
            key: $this->key,
            label: $this->label,
            unit: $this->unit,
            type: $this->type,
            min: $this->min,
            max: $this->max,
            allowed: $this->allowed,
            fields: $this->fields,
            required: false,
            default: $default,
        );
    }

    /** @return array<string, mixed> the entry of this input in the list of calculators */
    public function describe(): array
    {
        $entry = [
            'key' => $this->key,
            'unit' => $this->unit,
            'type' => $this->type->value,
            'required' => $this->required,
            'default' => $this->default,
            'min' => $this->min,
            'max' => $this->max,
            'allowed' => $this->allowed === [] ? null : $this->allowed,
        ];
        if ($this->fields !== []) {
            $entry['fields'] = array_map(static fn(Input $field): array => $field->describe(), $this->fields);
        }

        return $entry;
    }
}
