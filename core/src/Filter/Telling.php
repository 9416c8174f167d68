<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** The same past told three ways: as it was likely, and so that the least or the most is left. */
enum Telling
{
    case Likely;
    case Least;
    case Most;

    /** How fast bacteria grow against what is usual: a range and no number. */
    public function quickness(): float
    {
        return match ($this) {
            self::Likely => 1.0,
            self::Least => 1.0 - Colony::MU_SPREAD,
            self::Most => 1.0 + Colony::MU_SPREAD,
        };
    }

    /** What of them dies in a day without ammonia at 20 °C. */
    public function starving(): float
    {
        return match ($this) {
            self::Likely => Idle::RATE,
            self::Least => Idle::FASTEST,
            self::Most => Idle::SLOWEST,
        };
    }

    public function opposite(): self
    {
        return match ($this) {
            self::Likely => self::Likely,
            self::Least => self::Most,
            self::Most => self::Least,
        };
    }
}
