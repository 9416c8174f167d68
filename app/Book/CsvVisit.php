<?php

declare(strict_types=1);

namespace App\Book;

use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Reading;

/** What one row of a CSV says was read. */
final readonly class CsvVisit
{
    /**
     * @param  array<string, Reading>  $readings  by parameter
     * @param  array<string, array{typed: string, unit: ?string}>  $typed  by parameter
     */
    public function __construct(
        public Carbon $at,
        public ?string $vesselId,
        public array $readings,
        public array $typed,
    ) {}

    /** When and where, as one word. */
    public function place(): string
    {
        return $this->at->format('Uu') . " {$this->vesselId}";
    }
}
