<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * Bacteria that get nothing: the share of them that lives still, 0 to 1, with its band. Wet and aired; what stood
 * without flow or dried is another matter.
 *
 * @source manser-2006  0.05 a day at 20 °C in a film is a judgement, 0.015 to 0.15 its band
 */
final readonly class Idle
{
    /** With less left than this it is a start anew, %. Common practice, no source. */
    public const NEW_START_PCT = 50.0;

    /** What dies in a day at 20 °C: likely, and the ends of its band. */
    public const RATE = 0.05;

    public const SLOWEST = 0.015;

    public const FASTEST = 0.15;

    private function __construct(public float $value, public float $low, public float $high) {}

    /**
     * @param  float  $days  0 or more
     * @param  float  $tempC  of the water it stood in
     */
    public static function left(float $days, float $tempC): self
    {
        $of = static fn(float $rate): float => exp(-$rate * self::warmth($tempC) * $days);

        return new self($of(self::RATE), $of(self::FASTEST), $of(self::SLOWEST));
    }

    /** How fast it dies against 20 °C. */
    public static function warmth(float $tempC): float
    {
        return ArealRate::THETA ** (min($tempC, ArealRate::HELD_ABOVE_C) - 20);
    }
}
