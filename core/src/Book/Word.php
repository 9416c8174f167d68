<?php

declare(strict_types=1);

namespace Ironwort\Core\Book;

/** One word of a line and where it stands, counted in characters from 0. */
final readonly class Word
{
    public function __construct(public string $text, public int $at) {}

    public function end(): int
    {
        return $this->at + mb_strlen($this->text);
    }
}
