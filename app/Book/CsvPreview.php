<?php

declare(strict_types=1);

namespace App\Book;

/** What a CSV would bring before anything is kept: its columns as understood, its first rows, what is wrong where. */
final readonly class CsvPreview
{
    private const SHOWN_ROWS = 20;

    private const SHOWN_ERRORS = 50;

    /**
     * @param  array<int, array{parameter: string, unit: ?string}>  $mapping  by column
     * @param  array<string, string>  $errors  by place in the file
     * @param  int  $known  visits the book has already
     */
    public function __construct(
        public CsvTable $table,
        public array $mapping,
        public int $visits,
        public int $readings,
        public int $known,
        public array $errors,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'columns' => array_map(
                fn(int $i, string $head): array => [
                    'head' => $head,
                    'parameter' => $this->mapping[$i]['parameter'] ?? '',
                    'unit' => $this->mapping[$i]['unit'] ?? null,
                ],
                array_keys($this->table->head),
                $this->table->head,
            ),
            'rows' => array_slice($this->table->rows, 0, self::SHOWN_ROWS),
            'count' => $this->visits,
            'readings' => $this->readings,
            'known' => $this->known,
            'errors' => array_slice(
                array_map(
                    static fn(string $at, string $message): array => ['at' => $at, 'message' => $message],
                    array_keys($this->errors),
                    array_values($this->errors),
                ),
                0,
                self::SHOWN_ERRORS,
            ),
            'error_count' => count($this->errors),
        ];
    }
}
