<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/** A reading as what it really is: somewhere from low to high. */
final readonly class Interval
{
    private function __construct(public float $low, public float $high) {}

    /** @throws \InvalidArgumentException when the ends are not finite or not in order */
    public static function between(float $low, float $high): self
    {
        if (!is_finite($low) || !is_finite($high) || $low > $high) {
            throw new \InvalidArgumentException('The ends of an interval must be finite and in order.');
        }

        return new self($low, $high);
    }

    public static function exactly(float $value): self
    {
        return self::between($value, $value);
    }
}
