<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/**
 * Open water of a loop. Fish live in it, except in a sump or chamber.
 *
 * Its level is against the level the system is measured from, m. An overflow is a way out at the top
 * that leads nowhere in the loop; a float valve lets new water in by itself.
 */
final readonly class LoopVessel
{
    public function __construct(
        public string $id,
        public string $name,
        public bool $holdsFish = true,
        public bool $netted = true,
        public float $levelM = 0.0,
        public float $freeboardM = 0.0,
        public bool $overflow = true,
        public bool $floatValve = false,
        public bool $long = false,
        public ?float $mayFallM = null,
        /** Across its length, m²; null where it has none. */
        public ?float $sectionM2 = null,
        /** Mean length of the smallest fish in it; null where nobody lives there, or nobody said. */
        public ?float $smallestFishM = null,
    ) {}
}
