<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/** The days a run went through: points of the water, and the state it ended in. */
final readonly class Trace
{
    /**
     * @param  list<array<string, float>>  $points  each with its `day`
     * @param  list<float>  $end  state
     * @param  float  $start  nitrogen at the start, mg N/L
     * @param  float  $moved  what events brought or took, mg N/L
     * @param  list<float>  $doses  days on which ammonia was dosed again
     * @param  list<array{float, float}>  $buffered  days on which KH was buffered, and by how much, mg/L
     */
    public function __construct(
        public array $points,
        private array $end,
        private float $start,
        private float $moved,
        private array $doses = [],
        private array $buffered = [],
    ) {}

    /** @param  list<float>  $y */
    public static function nitrogen(array $y): float
    {
        return $y[Kinetics::TAN] + $y[Kinetics::NO2] + $y[Kinetics::NO3];
    }

    /**
     * The highest a figure stood from a day on, and on which day.
     *
     * @return array{float, float}
     */
    public function peak(string $key, float $from = 0.0): array
    {
        [$highest, $day] = [-1.0, 0.0];
        foreach ($this->points as $point) {
            if ($point['day'] >= $from && $point[$key] > $highest) {
                [$highest, $day] = [$point[$key], $point['day']];
            }
        }

        return [$highest, $day];
    }

    /**
     * The last point up to a day.
     *
     * @return array<string, float>
     */
    public function on(float $day): array
    {
        $found = $this->points[0] ?? throw new \LogicException('A trace has points.');
        foreach ($this->points as $point) {
            if ($point['day'] > $day + 1e-9) {
                break;
            }
            $found = $point;
        }

        return $found;
    }

    /** The day from which both stay under their limits to the end; null when they do not. */
    public function under(float $tanLimit, float $no2Limit): ?float
    {
        $since = null;
        foreach ($this->points as $point) {
            $since =
                $point['tan_mg_l'] <= $tanLimit && $point['no2_n_mg_l'] <= $no2Limit ? $since ?? $point['day'] : null;
        }

        return $since;
    }

    /**
     * The day on which both have been under their limits for so many days and stay there to the end: a first dip, as
     * after a change of water, is none. Null when that day does not come.
     */
    public function stayed(float $tanLimit, float $no2Limit, float $days): ?float
    {
        $since = $this->under($tanLimit, $no2Limit);
        $last = $this->points === [] ? null : $this->points[count($this->points) - 1]['day'];

        return $since !== null && $last !== null && $last >= $since + $days - 1e-9 ? $since + $days : null;
    }

    /** The first day from one on that a figure is below a level; null when it never is. */
    public function below(string $key, float $level, float $from): ?float
    {
        foreach ($this->points as $point) {
            if ($point['day'] >= $from && $point[$key] < $level) {
                return $point['day'];
            }
        }

        return null;
    }

    /** The first dose of ammonia after a day that is down to both limits a day later; null when none is. */
    public function clears(float $after, float $tanLimit, float $no2Limit): ?float
    {
        foreach ($this->doses as $dosed) {
            foreach ($dosed < $after ? [] : $this->points as $point) {
                if ($point['day'] >= $dosed + 1 - 1e-9) {
                    if ($point['tan_mg_l'] <= $tanLimit && $point['no2_n_mg_l'] <= $no2Limit) {
                        return $dosed + 1;
                    }
                    break;
                }
            }
        }

        return null;
    }

    /** Alkalinity that was added by buffering before a day, mg/L as CaCO3. */
    public function buffered(float $until): float
    {
        return array_sum(
            array_map(static fn(array $step): float => $step[0] < $until ? $step[1] : 0.0, $this->buffered),
        );
    }

    /** Nitrogen that came in and is neither there nor gone out, mg N/L: nothing, but for rounding. */
    public function missing(): float
    {
        return $this->start +
            $this->end[Kinetics::LOADED] +
            $this->end[Kinetics::EXCHANGED] +
            $this->moved -
            self::nitrogen($this->end);
    }

    /** All nitrogen that took part, mg N/L. */
    public function throughput(): float
    {
        return $this->start + $this->end[Kinetics::LOADED] + abs($this->moved);
    }
}
