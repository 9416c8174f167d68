<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** One line of a loop: bore in mm, length in m, K of its fittings, its valve and how high it ends above the water.
 * A guard keeps fish out of it; a return that falls, sprays or jets breaks the surface. */
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
        public bool $guarded = true,
        public bool $breaksSurface = false,
    ) {
    }

    public function shut(): bool
    {
        return $this->valveOpenPct !== null && $this->valveOpenPct <= 0;
    }
}
