<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/** A time of day in the site's own zone, today or yesterday. */
final readonly class LogTime
{
    private function __construct(public int $hour, public int $minute, public bool $yesterday) {}

    public static function read(string $text, bool $yesterday): ?self
    {
        if (preg_match('/^([01]?\d|2[0-3])[:.]([0-5]\d)$/', $text, $parts) !== 1) {
            return null;
        }

        return new self((int) $parts[1], (int) $parts[2], $yesterday);
    }
}
