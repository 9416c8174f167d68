<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** A pump that moves the water of one vessel round within it: where it stands and which way it blows. */
final readonly class Circulator
{
    /**
     * @param  ?string  $insideVessel  null where nobody said
     * @param  ?bool  $guarded  null where nobody said
     * @param  ?string  $spot  one_end, middle or far_end
     * @param  ?string  $aim  along or across
     */
    public function __construct(
        public string $name,
        public ?string $insideVessel,
        public bool $on,
        public ?bool $guarded = null,
        public ?string $spot = null,
        public ?string $aim = null,
        public float $flowLH = 0.0,
    ) {}
}
