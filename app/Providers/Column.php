<?php

declare(strict_types=1);

namespace App\Providers;

/** A column of an answer. Whole numbers and truths are themselves in JSON; all else comes as PostgreSQL writes it. */
final readonly class Column
{
    public function __construct(public string $name, public bool $asText) {}

    /** @param  string  $of  the alias of its table */
    public function sql(string $of): string
    {
        return $of . '."' . str_replace('"', '""', $this->name) . '"' . ($this->asText ? '::text' : '');
    }
}
