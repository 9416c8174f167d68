<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/** What became of fish that came together: counted, and none counted twice. */
final readonly class Survival
{
    /** @param  int  $alive  that live with the keeper still */
    public function __construct(
        public int $came,
        public int $deadOnArrival,
        public int $diedSince,
        public int $sold,
        public int $alive,
    ) {}

    public static function none(): self
    {
        return new self(0, 0, 0, 0, 0);
    }

    public function and(self $other): self
    {
        return new self(
            $this->came + $other->came,
            $this->deadOnArrival + $other->deadOnArrival,
            $this->diedSince + $other->diedSince,
            $this->sold + $other->sold,
            $this->alive + $other->alive,
        );
    }

    /** Of those that came, in percent: what was sold alive has survived. Null where none came. */
    public function pct(): ?float
    {
        return $this->came === 0 ? null : (100 * ($this->came - $this->deadOnArrival - $this->diedSince)) / $this->came;
    }
}
