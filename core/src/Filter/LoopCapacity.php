<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Fish\DailyLoad;

/**
 * The capacity of all stages of a loop together.
 *
 * Stages stand in series as listed, each meeting the water the one before left. Neighbouring stages
 * that name a branch form a group of parallel branches; those of one branch are in series. A stage
 * that takes less than the loop's full flow is a side stream: the rest passes it by and mixes again.
 */
final readonly class LoopCapacity
{
    /** @param  list<StageCapacity>  $stages */
    private function __construct(
        public array $stages,
        public float $flowM3D,
        public StageInflow $inlet,
        public StageInflow $outlet,
    ) {}

    /**
     * @param  list<FilterStage>  $stages
     * @param  float  $dying  as in ArealRate
     */
    public static function of(array $stages, StageInflow $inlet, float $dying = 0.0): self
    {
        $groups = self::groups($stages);
        $flow = self::fullFlow($groups);
        $water = $inlet;
        $results = [];
        foreach ($groups as $branches) {
            $mixedTan = $flow * $water->tan;
            $mixedOxygen = $flow * $water->oxygen;
            foreach ($branches as $branch) {
                $branchFlow = self::widest($branch);
                $passing = $water;
                foreach ($branch as $i => $stage) {
                    $capacity = StageCapacity::of($stage, $passing, $dying);
                    $results[$i] = $capacity;
                    $passing = self::mix($passing, $capacity->outlet(), $branchFlow, $stage->flowM3D());
                }
                $mixedTan += $branchFlow * ($passing->tan - $water->tan);
                $mixedOxygen += $branchFlow * ($passing->oxygen - $water->oxygen);
            }
            $water = $flow > 0 ? $water->after(max(0.0, $mixedTan / $flow), max(0.0, $mixedOxygen / $flow)) : $water;
        }
        ksort($results);

        return new self(array_values($results), $flow, $inlet, $water);
    }

    public function total(): float
    {
        return array_sum(array_map(static fn(StageCapacity $stage): float => $stage->capacity(), $this->stages));
    }

    /** What all surfaces would take, were neither oxygen nor flow ever short. */
    public function surfaceLimit(): float
    {
        return array_sum(array_map(static fn(StageCapacity $stage): float => $stage->surfaceLimit, $this->stages));
    }

    /** What the oxygen that comes with the flow and is taken in inside the stages allows, counted once. */
    public function oxygenLimit(): float
    {
        $withFlow = max(0.0, $this->flowM3D * ($this->inlet->oxygen - InStageTransfer::FLOOR_DO));
        $takenIn = array_sum(
            array_map(static fn(StageCapacity $stage): float => $stage->transferredOxygen, $this->stages),
        );

        return ($withFlow + $takenIn) / DailyLoad::O2_PER_N;
    }

    /** Which of the three limits of the whole loop is the shortest. */
    public function limiting(): Limit
    {
        return Limit::shortest($this->surfaceLimit(), $this->oxygenLimit(), $this->transportLimit());
    }

    /** All the ammonia that the flow brings, which no filter can pass. */
    public function transportLimit(): float
    {
        return $this->flowM3D * $this->inlet->tan;
    }

    /**
     * Groups in flow order; each holds its branches, each branch its stages by their place in the list.
     *
     * @param  list<FilterStage>  $stages
     * @return list<non-empty-array<string, non-empty-array<int, FilterStage>>>
     */
    private static function groups(array $stages): array
    {
        $groups = [];
        $open = [];
        foreach ($stages as $i => $stage) {
            if ($stage->branch === null) {
                if ($open !== []) {
                    $groups[] = $open;
                    $open = [];
                }
                $groups[] = ['' => [$i => $stage]];

                continue;
            }
            $open[$stage->branch][$i] = $stage;
        }
        if ($open !== []) {
            $groups[] = $open;
        }

        return $groups;
    }

    /** @param  list<non-empty-array<string, non-empty-array<int, FilterStage>>>  $groups */
    private static function fullFlow(array $groups): float
    {
        $flows = array_map(
            static fn(array $branches): float => array_sum(array_map(self::widest(...), $branches)),
            $groups,
        );

        return $flows === [] ? 0.0 : max($flows);
    }

    /** @param  non-empty-array<int, FilterStage>  $branch */
    private static function widest(array $branch): float
    {
        return max(array_map(static fn(FilterStage $stage): float => $stage->flowM3D(), $branch));
    }

    private static function mix(StageInflow $by, StageInflow $through, float $whole, float $part): StageInflow
    {
        $share = $whole > 0 ? $part / $whole : 0.0;

        return $by->after(
            $by->tan + $share * ($through->tan - $by->tan),
            $by->oxygen + $share * ($through->oxygen - $by->oxygen),
        );
    }
}
