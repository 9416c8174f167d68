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
     * @param  int  $faults  cells that cannot be used, of which the first are told
     * @param  int  $known  visits the book has already
     */
    public function __construct(
        public CsvTable $table,
        public array $mapping,
        public int $visits,
        public int $readings,
        public int $known,
        public array $errors,
        public int $faults,
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
            'rows' => $this->first(),
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
            'error_count' => $this->faults,
        ];
    }

    /** @return list<list<string>> */
    private function first(): array
    {
        $first = [];
        foreach ($this->table->rows() as $row) {
            if (count($first) === self::SHOWN_ROWS) {
                break;
            }
            $first[] = $row;
        }

        return $first;
    }
}
