<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** One line of a loop: bore in mm, length in m, K of its fittings, its valve and how high it ends above the water. */
final readonly class LoopLine
{
    /** @param  ?float  $valveOpenPct  null without a valve */
    public function __construct(
        public string $id,
        public string $name,
        public Place $from,
        public Place $to,
        public float $boreMm,
        public float $lengthM,
        public float $fittingsK,
        public ?float $valveOpenPct = null,
        public bool $checkValve = false,
        public float $endsAboveM = 0.0,
        public bool $waste = false,
    ) {
    }

    public function shut(): bool
    {
        return $this->valveOpenPct !== null && $this->valveOpenPct <= 0;
    }
}
