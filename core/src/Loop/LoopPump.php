<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\PumpCurve;

/**
 * One water pump of a loop, or an airlift, with its curve. Off, it lets nothing through.
 *
 * Inside a vessel it needs no line to take its water or to give it back; without a line out its water
 * falls back from `lipM` above the vessel. A dry pump that stands
 * `aboveM` above the water it draws from must be primed.
 */
final readonly class LoopPump
{
    public function __construct(
        public string $id,
        public string $name,
        public PumpCurve $curve,
        public float $powerW,
        public bool $on,
        public ?string $circuit = null,
        public ?string $insideVessel = null,
        public float $lipM = 0.0,
        public float $aboveM = 0.0,
    ) {}

    /** Whether it stands in the water it moves. */
    public function stands(): bool
    {
        return $this->insideVessel !== null;
    }
}
