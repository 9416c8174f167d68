<?php

declare(strict_types=1);

namespace App\Providers;

/** A column of an answer, which comes as text, as PostgreSQL writes it, and is made again what it was. */
final readonly class Column
{
    private const KINDS = ['int', 'bool', 'text'];

    /** @param  ?string  $kind  one of `KINDS`; null where it held nothing whenever it was looked at */
    public function __construct(public string $name, public ?string $kind) {}

    /**
     * @param  array<mixed>  $values  what it held in each row of an answer
     */
    public static function holding(string $name, array $values): self
    {
        foreach ($values as $value) {
            if ($value !== null) {
                return new self($name, is_int($value) ? 'int' : (is_bool($value) ? 'bool' : 'text'));
            }
        }

        return new self($name, null);
    }

    /** What was kept of one; of anything else a column of which nothing is known. */
    public static function kept(mixed $kept): self
    {
        $name = is_array($kept) ? $kept['name'] ?? null : null;
        $kind = is_array($kept) ? $kept['kind'] ?? null : null;

        return new self(
            is_string($name) ? $name : '',
            is_string($kind) && in_array($kind, self::KINDS, true) ? $kind : null,
        );
    }

    /** @param  string  $of  the alias of its table */
    public function sql(string $of): string
    {
        return $of . '."' . str_replace('"', '""', $this->name) . '"::text';
    }

    /** Whether what stands in a cell can be made what it was. */
    public function reads(?string $cell): bool
    {
        return $cell === null || $this->kind !== null;
    }

    /** What stands in a cell of `sql()`. */
    public function read(?string $cell): string|int|bool|null
    {
        return match (true) {
            $cell === null || $this->kind === 'text' => $cell,
            $this->kind === 'int' => (int) $cell,
            default => $cell === 'true',
        };
    }
}
