<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/** A mistake in a line: where it starts, how long it is, and what to do about it. */
final readonly class LogFault
{
    public function __construct(public int $at, public int $length, public string $message) {}
}
