<?php

declare(strict_types=1);

namespace App\Living;

use App\Forms\Origin;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** How much of a filter's surface lives today, percent with its band, what that rests on and what is still asked. */
final readonly class Living
{
    /**
     * @param  string  $kind  as of an origin: `judged` by the keeper, `measured` by a start's readings, `computed` from
     *     its past, `assumed` where the book is silent
     * @param  ?Message  $asks  what would make it known
     */
    public function __construct(
        public float $pct,
        public float $lowPct,
        public float $highPct,
        public string $kind,
        public string $from,
        public ?Message $asks = null,
    ) {}

    /** The same on a surface so many times as large: what lives stays what it is. */
    public function on(float $times): self
    {
        return $times <= 1.0
            ? $this
            : new self(
                $this->pct / $times,
                $this->lowPct / $times,
                $this->highPct / $times,
                $this->kind,
                $this->from,
                $this->asks,
            );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'pct' => $this->pct,
            'low_pct' => $this->lowPct,
            'high_pct' => $this->highPct,
            'kind' => $this->kind,
            'from' => $this->from,
            'asks' => $this->asks?->toArray(),
        ];
    }

    public function origin(): Origin
    {
        return new Origin(
            'maturity_pct',
            'Surface grown',
            Format::number($this->pct, 2) .
                ' % (' .
                Format::number($this->lowPct, 2) .
                ' to ' .
                Format::number($this->highPct, 2) .
                ')',
            $this->kind === 'judged' ? 'typed' : $this->kind,
            $this->from,
        );
    }
}
