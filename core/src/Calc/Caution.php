<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

use Ironwort\Core\Words\Message;

/** One thing the reader of a result must be told, in a plain sentence, under its code. */
final readonly class Caution
{
    public string $text;

    public function __construct(public Level $level, public Message $message)
    {
        $this->text = $message->text;
    }

    /** @return array{level: string, code: string, text: string} */
    public function toArray(): array
    {
        return ['level' => $this->level->value, ...$this->message->toArray()];
    }
}
