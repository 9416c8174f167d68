<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** One row of a figure that is a list, or a figure that is an object, read by key and type. */
final readonly class FigureRow
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values) {}

    public function number(string $key): float
    {
        return $this->numberOrNull($key) ?? throw new \LogicException("Figure {$key} is not a number.");
    }

    public function numberOrNull(string $key): ?float
    {
        $value = $this->values[$key] ?? null;

        return is_float($value) || is_int($value) ? (float) $value : null;
    }

    public function text(string $key): string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : throw new \LogicException("Figure {$key} is not text.");
    }

    /** @return array<string, float> the numbers in it */
    public function numbers(): array
    {
        $numbers = [];
        foreach ($this->values as $key => $value) {
            if (is_float($value) || is_int($value)) {
                $numbers[(string) $key] = (float) $value;
            }
        }

        return $numbers;
    }

    public function row(string $key): self
    {
        $value = $this->values[$key] ?? [];

        return new self(is_array($value) ? $value : (array) $value);
    }

    public function flag(string $key): bool
    {
        return ($this->values[$key] ?? false) === true;
    }
}
