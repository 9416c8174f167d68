<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/**
 * What a keeper goes on doing to a start from a day on, each time they look: ammonia dosed up to a level when it has
 * fallen below another, and KH buffered back to what it is to be. Levels in mg/L, as N and as CaCO3; null: not done.
 */
final readonly class Tending
{
    public function __construct(public float $fromDay, public ?float $doseBelow = null, public ?float $doseTo = null, public ?float $alkalinity = null)
    {
    }

    public function doses(float $day, float $tan): bool
    {
        return $this->doseTo !== null && $day >= $this->fromDay && $tan < min($this->doseTo, $this->doseBelow ?? $this->doseTo);
    }

    public function buffers(float $day, float $alkalinity): bool
    {
        return $this->alkalinity !== null && $day >= $this->fromDay && $alkalinity < $this->alkalinity;
    }
}
