<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Interval;

/**
 * What a reading of one kit stands for.
 *
 * A kit of steps is read to the nearest colour, so a step stands for all that is nearer to it than to
 * its neighbours; at its last step it says “at least”, at a first step above nothing “at most”. A kit without
 * steps reads to its resolution, within its range.
 * All in the unit the kit is marked in.
 */
final readonly class Kit
{
    /**
     * @param  list<float>  $steps  rising; empty for a continuous kit
     * @param  ?float  $resolution  of a continuous kit
     * @param  ?float  $from  what a continuous kit reads from
     * @param  ?float  $to  and to
     */
    public function __construct(
        public array $steps = [],
        public ?float $resolution = null,
        public ?float $from = null,
        public ?float $to = null,
    ) {
        for ($i = 1; $i < count($steps); $i++) {
            if ($steps[$i] <= $steps[$i - 1]) {
                throw new \InvalidArgumentException('The steps of a kit rise.');
            }
        }
        if ($from !== null && $to !== null && $from >= $to) {
            throw new \InvalidArgumentException('The range of a kit rises.');
        }
    }

    /** Null where the kit says nothing finer than what was typed. */
    public function interval(float $value): ?Interval
    {
        if ($this->steps === []) {
            return $this->resolution === null
                ? null
                : Interval::between($value - $this->resolution / 2, $value + $this->resolution / 2);
        }
        $below = array_values(array_filter($this->steps, static fn(float $step): bool => $step < $value - 1e-9));
        $above = array_values(array_filter($this->steps, static fn(float $step): bool => $step > $value + 1e-9));
        $on = count($below) + count($above) < count($this->steps);
        $low = $below === [] ? $value : ($on ? ($value + $below[count($below) - 1]) / 2 : $below[count($below) - 1]);
        $high = $above === [] ? $value : ($on ? ($value + $above[0]) / 2 : $above[0]);

        return Interval::between($low, $high);
    }

    /** Whether a value stands at the end of the scale, where there may be more. */
    public function atItsEnd(float $value): bool
    {
        $end = $this->steps === [] ? $this->to : $this->steps[count($this->steps) - 1];

        return $end !== null && $value >= $end - 1e-9;
    }

    /** Whether a value stands at the start of a scale that does not start at nothing, where there may be less. */
    public function atItsStart(float $value): bool
    {
        $start = $this->steps[0] ?? $this->from;

        return $start !== null && $start > 0 && $value <= $start + 1e-9;
    }
}
