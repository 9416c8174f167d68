<?php

declare(strict_types=1);

namespace Ironwort\Core\Data;

/** One record of a shipped table, read by key and type. Every reader throws BrokenTable on a mismatch. */
final readonly class Row
{
    /** @param  array<array-key, mixed>  $values */
    public function __construct(private array $values) {}

    public function text(string $key): string
    {
        $value = $this->values[$key] ?? null;

        return is_string($value) ? $value : throw new BrokenTable("{$key} is not text.");
    }

    public function textOrNull(string $key): ?string
    {
        return array_key_exists($key, $this->values) ? $this->text($key) : null;
    }

    public function number(string $key): float
    {
        return $this->numberOrNull($key) ?? throw new BrokenTable("{$key} is missing.");
    }

    public function numberOrNull(string $key): ?float
    {
        $value = $this->values[$key] ?? null;

        return match (true) {
            $value === null => null,
            is_int($value), is_float($value) => (float) $value,
            default => throw new BrokenTable("{$key} is not a number."),
        };
    }

    public function flag(string $key): bool
    {
        $value = $this->values[$key] ?? false;

        return is_bool($value) ? $value : throw new BrokenTable("{$key} is not true or false.");
    }

    /** @return list<float> */
    public function numbers(string $key): array
    {
        return array_map(
            static fn(mixed $value): float => is_int($value) || is_float($value)
                ? (float) $value
                : throw new BrokenTable("{$key} holds something other than numbers."),
            $this->items($key),
        );
    }

    /** @return list<array{float, float}> */
    public function pairs(string $key): array
    {
        return array_map(static function (mixed $pair): array {
            if (!is_array($pair) || !isset($pair[0], $pair[1]) || !is_numeric($pair[0]) || !is_numeric($pair[1])) {
                throw new BrokenTable('A pair of numbers was expected.');
            }

            return [(float) $pair[0], (float) $pair[1]];
        }, $this->items($key));
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        return array_map(
            static fn(mixed $value): string => is_string($value)
                ? $value
                : throw new BrokenTable("{$key} holds something other than text."),
            $this->items($key),
        );
    }

    /** @return list<Row> */
    public function rows(string $key): array
    {
        return array_map(
            static fn(mixed $value): Row => is_array($value)
                ? new Row($value)
                : throw new BrokenTable("{$key} holds something other than records."),
            $this->items($key),
        );
    }

    public function row(string $key): Row
    {
        $value = $this->values[$key] ?? null;

        return is_array($value) ? new Row($value) : throw new BrokenTable("{$key} is not a record.");
    }

    public function rowOrNull(string $key): ?Row
    {
        return isset($this->values[$key]) ? $this->row($key) : null;
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    /** @return list<mixed> */
    private function items(string $key): array
    {
        $value = $this->values[$key] ?? null;

        return is_array($value) && array_is_list($value) ? $value : throw new BrokenTable("{$key} is not a list.");
    }
}
