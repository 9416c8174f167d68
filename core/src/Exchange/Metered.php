<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * What ran in between two readings of a water meter, set against what was booked and what a trickle was said to bring.
 */
final readonly class Metered
{
    /** A tap set by eye keeps within this share, 0 to 1. Common practice, no source. */
    private const KEEPS = 0.15;

    /**
     * @param  float  $inL  between both readings, L
     * @param  float  $bookedL  changes and top-ups booked between them, L
     * @param  float  $hours  between them, above 0
     * @param  ?float  $saidLH  of the trickle, L/h; null where none ran
     */
    public function __construct(public float $inL, public float $bookedL, public float $hours, public ?float $saidLH) {}

    /** What is left for the trickle, or was never booked, L: 0 or more. */
    public function restL(): float
    {
        return max(0.0, $this->inL - $this->bookedL);
    }

    /** What the trickle really brought, L/h; null where none ran. */
    public function trickleLH(): ?float
    {
        return $this->saidLH === null ? null : $this->restL() / $this->hours;
    }

    /** Whether the trickle brought what it was said to; true where none ran and all that came in was booked. */
    public function agrees(): bool
    {
        $expected = $this->bookedL + ($this->saidLH ?? 0.0) * $this->hours;

        return abs($this->inL - $expected) <= self::KEEPS * max($expected, 1.0);
    }
}
