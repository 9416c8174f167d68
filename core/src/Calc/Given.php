<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/**
 * The checked input of one calculation, read by key and type.
 *
 * Asking for a key that was not declared, or as another type than declared, is a mistake in the
 * calculator and throws LogicException.
 */
final readonly class Given
{
    /**
     * @param  array<string, float|string|bool|Given|list<Given>|list<string>|null>  $values
     * @param  list<Input>  $assumed  the inputs whose default stood in
     */
    public function __construct(private array $values, public array $assumed = []) {}

    public function number(string $key): float
    {
        return $this->numberOrNull($key) ?? throw new \LogicException("Number {$key} was not given.");
    }

    public function numberOrNull(string $key): ?float
    {
        $value = $this->value($key);

        return $value === null || is_float($value) ? $value : throw new \LogicException("{$key} is not a number.");
    }

    public function text(string $key): string
    {
        return $this->textOrNull($key) ?? throw new \LogicException("Text {$key} was not given.");
    }

    public function textOrNull(string $key): ?string
    {
        $value = $this->value($key);

        return $value === null || is_string($value) ? $value : throw new \LogicException("{$key} is not text.");
    }

    /** @return list<Given> */
    public function rows(string $key): array
    {
        $value = $this->value($key);

        $rows = $value === null ? [] : (is_array($value) ? $value : throw new \LogicException("{$key} is not a list."));

        return array_values(array_filter($rows, static fn(self|string $row): bool => $row instanceof self));
    }

    /** @return list<string> */
    public function texts(string $key): array
    {
        $value = $this->value($key);

        return array_values(array_filter(is_array($value) ? $value : [], is_string(...)));
    }

    public function flag(string $key): bool
    {
        $value = $this->value($key);

        return is_bool($value) ? $value : throw new \LogicException("{$key} is not a flag.");
    }

    /** Named values; none where nothing was given. */
    public function object(string $key): ?self
    {
        $value = $this->value($key);

        return $value === null || $value instanceof self
            ? $value
            : throw new \LogicException("{$key} is not an object.");
    }

    /** @return array<string, float> the numbers that were given */
    public function numbers(): array
    {
        return array_filter($this->values, is_float(...));
    }

    public function has(string $key): bool
    {
        return $this->value($key) !== null;
    }

    /** @return float|string|bool|Given|list<Given>|list<string>|null */
    private function value(string $key): float|string|bool|array|self|null
    {
        return array_key_exists($key, $this->values)
            ? $this->values[$key]
            : throw new \LogicException("Input {$key} is not declared.");
    }
}
