<?php

declare(strict_types=1);

namespace App\Service;

/** What is said when a job is closed. */
final readonly class ClosingNotes
{
    /** @param  ?float  $waterL  that left the system, where it was measured */
    public function __construct(
        public ?float $waterL = null,
        public ?float $cost = null,
        public ?string $note = null,
    ) {}
}
