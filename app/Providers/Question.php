<?php

declare(strict_types=1);

namespace App\Providers;

use stdClass;

/** One question to the database, and the columns its answer had; null where it had no rows to tell them by. */
final readonly class Question
{
    /**
     * @param  array<mixed>  $bindings
     * @param  ?list<Column>  $columns
     */
    public function __construct(public string $sql, public array $bindings, public ?array $columns) {}

    /**
     * @param  array<mixed>  $bindings
     * @param  array<mixed>  $rows  its answer
     */
    public static function answered(string $sql, array $bindings, array $rows): self
    {
        $first = $rows[0] ?? null;
        $columns = [];
        foreach ($first instanceof stdClass ? array_keys(get_object_vars($first)) : [] as $name) {
            $columns[] = Column::holding((string) $name, array_map(static fn($row): mixed => $row->{$name}, $rows));
        }

        return new self($sql, array_values($bindings), $columns === [] ? null : $columns);
    }
}
