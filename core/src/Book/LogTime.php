<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/**
 * A time of day in the site's own zone, today or yesterday; in the night in which an hour comes twice with its distance
 * from UTC.
 *
 *     7:10     1:30+1     1:30+00:00
 */
final readonly class LogTime
{
    /** @param  string  $offset  as +01:00; empty where none is said */
    private function __construct(
        public int $hour,
        public int $minute,
        public bool $yesterday,
        public string $offset = '',
    ) {}

    public static function read(string $text, bool $yesterday): ?self
    {
        if (
            preg_match('/^([01]?\d|2[0-3])[:.]([0-5]\d)(?:([+-])(0?\d|1[0-4])(?::?([0-5]\d))?)?$/', $text, $parts) !== 1
        ) {
            return null;
        }

        $offset = isset($parts[3], $parts[4])
            ? sprintf('%s%02d:%02d', $parts[3], (int) $parts[4], (int) ($parts[5] ?? 0))
            : '';

        return new self((int) $parts[1], (int) $parts[2], $yesterday, $offset);
    }
}
