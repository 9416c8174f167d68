<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Fish\DailyLoad;

/**
 * What one stage can take of ammonia in a day, by surface, by oxygen and by transport, g N/d.
 *
 * The least holds.
 *
 * @source nitrification-stoichiometry  4.57 g O2 per g N
 */
final readonly class StageCapacity
{
    private function __construct(
        public FilterStage $stage,
        public StageInflow $inlet,
        public ArealRate $rate,
        public float $surfaceLimit,
        public float $oxygenLimit,
        public float $transportLimit,
        public float $transferredOxygen,
    ) {}

    public static function of(FilterStage $stage, StageInflow $inlet, float $dying = 0.0): self
    {
        $rate = ArealRate::of($stage->kind, $inlet, $stage->maturity, $stage->fouling, $dying);
        $flow = $stage->flowM3D();
        $transferred = InStageTransfer::of($stage->kind, $inlet, $stage->flowLH, $stage->airLMin, $stage->mediaL);

        return new self(
            $stage,
            $inlet,
            $rate,
            $flow > 0 ? $flow * ($inlet->tan - $rate->outlet($inlet->tan, $flow, $stage->areaM2())) : 0.0,
            (max(0.0, $flow * ($inlet->oxygen - InStageTransfer::FLOOR_DO)) + $transferred) / DailyLoad::O2_PER_N,
            $flow * $inlet->tan,
            $transferred,
        );
    }

    public function capacity(): float
    {
        return min($this->surfaceLimit, $this->oxygenLimit, $this->transportLimit);
    }

    public function limiting(): Limit
    {
        return Limit::shortest($this->surfaceLimit, $this->oxygenLimit, $this->transportLimit);
    }

    /** What the surface works at, g N/m²/d; 0 without a surface. */
    public function arealRate(): float
    {
        return $this->stage->areaM2() > 0 ? $this->capacity() / $this->stage->areaM2() : 0.0;
    }

    /** The water as it leaves, when the stage takes all it can. */
    public function outlet(): StageInflow
    {
        $flow = $this->stage->flowM3D();
        if ($flow <= 0) {
            return $this->inlet;
        }
        $taken = $this->capacity();
        $oxygen = $this->inlet->oxygen + ($this->transferredOxygen - DailyLoad::O2_PER_N * $taken) / $flow;

        // What is transferred was reckoned at the floor; it never lifts the water above what came in.
        return $this->inlet->after(
            max(0.0, $this->inlet->tan - $taken / $flow),
            max(0.0, min($this->inlet->oxygen, $oxygen)),
        );
    }
}
