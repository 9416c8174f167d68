<?php

declare(strict_types=1);

namespace Ironwort\Core\Data;

/** Every source the core leans on, by id. */
final readonly class Bibliography
{
    /** @param  array<string, Source>  $sources */
    private function __construct(private array $sources)
    {
    }

    public static function from(Row $table): self
    {
        $sources = [];
        foreach ($table->rows('sources') as $row) {
            $sources[$row->text('id')] = new Source($row->text('id'), $row->text('citation'), $row->text('kind'), $row->text('used_for'));
        }

        return new self($sources);
    }

    public function get(string $id): ?Source
    {
        return $this->sources[$id] ?? null;
    }

    /** @return list<Source> */
    public function all(): array
    {
        return array_values($this->sources);
    }
}
