<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;

/**
 * Whether a filter carries the load put on it, in g N/d.
 *
 * Good with what is kept back to spare, a fifth where no school says otherwise; watch down to nothing to spare, act
 * past it. What is only reckoned is no emergency: ammonia that is read makes one.
 *
 * @source cp-filter-margin
 */
final readonly class Carrying
{
    /** Share of the capacity that may be used where a fifth is kept back. */
    public const USABLE = 0.8;

    public State $state;

    /** @param  float  $usable  share of the capacity that may be used, 0 to 1 */
    public function __construct(
        public float $load,
        public float $capacity,
        public Limit $shortest,
        float $usable = self::USABLE,
    ) {
        $this->state = match (true) {
            $load <= $usable * $capacity => State::Good,
            $load <= $capacity => State::Watch,
            default => State::Act,
        };
    }

    /** Share of the capacity still free, percent; negative when the load is past it, null without capacity. */
    public function sparePct(): ?float
    {
        return $this->capacity > 0 ? 100 * (1 - $this->load / $this->capacity) : null;
    }

    /** How full the filter is of its load, 0 to 1, when every stage takes its part by what it can take. */
    public function share(): float
    {
        return $this->capacity > 0 ? min(1.0, $this->load / $this->capacity) : ($this->load > 0 ? 1.0 : 0.0);
    }

    /** @param  float  $tan  the most ammonia the water may hold, mg/L as N */
    public function sentence(float $tan): string
    {
        $held = ' with ammonia held at ' . Format::number($tan, 2) . ' mg/L';
        $capacity = 'Filter capacity today ' . Format::number($this->capacity, 3) . ' g N/day' . $held;
        if ($this->load <= 0) {
            return "{$capacity}. There is no load yet.";
        }
        $spare = $this->sparePct();

        return $capacity .
            ', load ' .
            Format::number($this->load, 3) .
            ': ' .
            match (true) {
                $spare === null => 'it carries none of it',
                $spare >= 0 => Format::number(floor($spare), 3) . ' % to spare',
                default => Format::number(self::written($this->load) - self::written($this->capacity), 2) .
                    ' g N too little, so ammonia settles higher',
            } .
            '. ' .
            match ($this->shortest) {
                Limit::Surface => 'Surface area is the limit.',
                Limit::Oxygen => 'Oxygen is the limit.',
                Limit::Transport => 'Flow is the limit: it brings the filter no more ammonia.',
            };
    }

    /** The number as the sentence writes it, so that the difference of two is the one a reader works out. */
    private static function written(float $value): float
    {
        return (float) str_replace(',', '', Format::number($value, 3));
    }
}
