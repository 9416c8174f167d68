<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * Something that takes an agent out of the water for a time, at so many litres an hour made free of it: a trickle
 * that replaces them, carbon or zeolite that they pass. What adsorbs holds so much and no more.
 *
 * Hours since the dose; `$holdsG` in g, null without end.
 */
final readonly class Clearing
{
    public function __construct(
        public string $by,
        public float $fromH,
        public float $toH,
        public float $litresPerH,
        public ?float $holdsG = null,
    ) {}

    public function runs(float $hour): bool
    {
        return $hour >= $this->fromH && $hour < $this->toH;
    }
}
