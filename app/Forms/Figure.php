<?php

declare(strict_types=1);

namespace App\Forms;

use Ironwort\Core\Measure\Format;

/**
 * A computed number as the pages show it: openable to its working, with the origin of what went in.
 *
 * `calc`, `key` and `input` name the calculation to run again for the working. A figure without one is
 * the sum of its parts.
 */
final readonly class Figure
{
    /**
     * @param  array<string, mixed>  $input  of `calc`
     * @param  list<Origin>  $origins
     * @param  list<Figure>  $parts
     */
    public function __construct(
        public string $label,
        public float $value,
        public ?string $unit,
        public ?string $calc = null,
        public ?string $key = null,
        public array $input = [],
        public array $origins = [],
        public array $parts = [],
        public ?string $say = null,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'label' => $this->label,
            'value' => $this->value,
            'text' => Format::number($this->value, 3),
            'unit' => $this->unit,
            'value_unit' => $this->unit,
            'calc' => $this->calc,
            'key' => $this->key,
            'input' => (object) $this->input,
            'origins' => array_map(static fn(Origin $origin): array => $origin->toArray(), $this->origins),
            'parts' => array_map(static fn(Figure $part): array => $part->toArray(), $this->parts),
            'say' => $this->say,
        ];
    }
}
