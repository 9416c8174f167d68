<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Data\Row;
use Ironwort\Core\Words\Message;

/** How much longer or shorter intervals are in such water, or with so much feed. */
final readonly class Pace
{
    private function __construct(
        private ?float $from,
        private ?float $below,
        public float $times,
        private string $code,
    ) {}

    public static function from(Row $row, string $unit): self
    {
        return new self(
            $row->numberOrNull("from_{$unit}"),
            $row->numberOrNull("below_{$unit}"),
            $row->number('times'),
            $row->text('code'),
        );
    }

    public function fits(float $value): bool
    {
        return ($this->from === null || $value >= $this->from) && ($this->below === null || $value < $this->below);
    }

    public function message(): Message
    {
        return Message::of($this->code);
    }
}
