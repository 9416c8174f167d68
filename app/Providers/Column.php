<?php

declare(strict_types=1);

namespace App\Providers;

/**
 * A column of an answer. Whole numbers and truths come as JSON; all else as PostgreSQL writes it. Of
 * one that held nothing when it was learned the database tells which it is.
 */
final readonly class Column
{
    private const AS_IT_IS = "('boolean', 'smallint', 'integer', 'bigint')";

    /** @param  ?bool  $text  whether it comes as text; null where nothing tells */
    public function __construct(public string $name, public ?bool $text) {}

    /** @param  string  $of  the alias of its table */
    public function sql(string $of): string
    {
        $column = $of . '."' . str_replace('"', '""', $this->name) . '"';

        return match ($this->text) {
            true => "{$column}::text",
            false => "to_json({$column})::text",
            null => "CASE WHEN pg_typeof({$column})::text IN " .
                self::AS_IT_IS .
                " THEN to_json({$column}) ELSE to_json({$column}::text) END::text",
        };
    }

    /** What stands in a cell of `sql()`. */
    public function read(?string $cell): mixed
    {
        return $cell === null || $this->text === true
            ? $cell
            : json_decode($cell, flags: JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING);
    }
}
