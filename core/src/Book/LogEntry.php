<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

use Ironwort\Core\Judge\Reading;

/** One reading understood from the log bar, with what was typed for it. */
final readonly class LogEntry
{
    public function __construct(public Reading $reading, public string $typed, public ?string $unit) {}
}
