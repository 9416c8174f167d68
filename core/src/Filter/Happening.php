<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * One thing in the past of a filter that made what lives in it more or less, so many days ago.
 *
 * `value` is what is taken; `low` and `high` bound it where it is not sure. Loads in g N/d, shares 0 to 1, seeds in
 * g N/d at 20 °C, temperatures in °C; what slept gives the days that it slept.
 */
final readonly class Happening
{
    private function __construct(
        public float $daysAgo,
        public HappeningKind $kind,
        public float $value,
        public float $low,
        public float $high,
    ) {}

    /** @param  float  $value  as its kind says; `low` and `high` are it again where nothing else is known */
    public static function of(
        float $daysAgo,
        HappeningKind $kind,
        float $value,
        ?float $low = null,
        ?float $high = null,
    ): self {
        return new self($daysAgo, $kind, $value, min($value, $low ?? $value), max($value, $high ?? $value));
    }

    public function in(Telling $telling): float
    {
        // What is lost is most where the least is left.
        $telling = $this->kind === HappeningKind::Lost ? $telling->opposite() : $telling;

        return match ($telling) {
            Telling::Likely => $this->value,
            Telling::Least => $this->low,
            Telling::Most => $this->high,
        };
    }
}
