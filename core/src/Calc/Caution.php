<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** One thing the reader of a result must be told, in a plain sentence. */
final readonly class Caution
{
    public function __construct(public Level $level, public string $text) {}

    /** @return array{level: string, text: string} */
    public function toArray(): array
    {
        return ['level' => $this->level->value, 'text' => $this->text];
    }
}
