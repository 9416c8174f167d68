<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/**
 * What a keeper goes on doing to a start from a day on, each time they look: ammonia dosed up to a level when it has
 * fallen below another, and KH buffered back to what it is to be. No ammonia while nitrite stands high, nor twice in
 * a day: common practice, no source. Levels in mg/L, as N and as CaCO3; null: not done.
 */
final readonly class Tending
{
    /** What ammonia is dosed up to where nobody says otherwise, mg/L as N. */
    public const DOSED_TO_MG_L = 2.0;

    /** While more nitrite than this stands, ammonia waits, mg/L as N. */
    public const NITRITE_FIRST_MG_L = 5.0;

    public function __construct(
        public float $fromDay,
        public ?float $doseBelow = null,
        public ?float $doseTo = null,
        public ?float $alkalinity = null,
    ) {}

    /** Whether nothing will ever be done. */
    public function idle(): bool
    {
        return $this->doseTo === null && $this->alkalinity === null;
    }

    /** @param  ?float  $last  day of the dose before */
    public function doses(float $day, float $tan, float $no2, ?float $last): bool
    {
        return $this->doseTo !== null &&
            $day >= $this->fromDay &&
            $no2 <= self::NITRITE_FIRST_MG_L &&
            ($last === null || $day - $last > 1 - 1e-9) &&
            $tan < min($this->doseTo, $this->doseBelow ?? $this->doseTo);
    }

    public function buffers(float $day, float $alkalinity): bool
    {
        return $this->alkalinity !== null && $day >= $this->fromDay && $alkalinity < $this->alkalinity;
    }
}
