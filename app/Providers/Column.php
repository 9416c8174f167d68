<?php

declare(strict_types=1);

namespace App\Providers;

/**
 * A column of an answer. Whole numbers and truths are themselves in JSON; all else comes as PostgreSQL writes it. Of
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
            false => $column,
            null => "CASE WHEN pg_typeof({$column})::text IN " .
                self::AS_IT_IS .
                " THEN to_json({$column}) ELSE to_json({$column}::text) END",
        };
    }
}
