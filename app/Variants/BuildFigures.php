<?php

declare(strict_types=1);

namespace App\Variants;

use App\Build\BuiltLoop;
use App\Capacity\CapacityReport;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopFlow;

/**
 * What a build comes to: water, flow, levels, what it can take, room, power and money.
 *
 * Every build is asked about in the same water, that of the system that stands; its filter as grown and clean.
 */
final readonly class BuildFigures
{
    public function __construct(
        private BuiltLoop $built,
        private LoopSums $sums,
        private CapacityReport $capacity,
        private Registry $registry,
    ) {}

    /**
     * @return array{slug: string, name: string, planned: bool, volume_l: float, flow_l_h: ?float, turnovers: ?float,
     *     drop_mm: ?float, spare_mm: ?float, capacity_g_d: ?float, footprint_m2: float, unmeasured: int,
     *     power_w: float, cost: ?float, uncosted: int, parts: int, trouble: ?string}
     */
    public function of(System $build, System $standing, LatestWater $water): array
    {
        $temperature = $water->valueOrAssumed(Parameter::Temperature);
        $loop = $this->built->of($build, $temperature);
        [$flow, $trouble] = $this->solve($loop);
        $volume = $this->sums->volume($build)->value;
        $costs = collect([...$build->vessels, ...$build->stages, ...$build->pumps, ...$build->lines])->map(
            static fn($part): ?float => $part->cost,
        );
        $known = $costs->whereNotNull();

        return [
            'slug' => $build->slug,
            'name' => $build->name,
            'planned' => $build->variant_of_id !== null,
            'volume_l' => $volume,
            'flow_l_h' => $flow?->returned(),
            'turnovers' => $flow === null || $volume <= 0 ? null : $flow->returned() / $volume,
            'drop_mm' => $this->drop($build, $flow),
            'spare_mm' => $this->spare($build, $flow),
            'capacity_g_d' => $this->takes($build, $standing, $water, $flow),
            'footprint_m2' => $this->footprint($build),
            'unmeasured' => $build->stages
                ->filter(
                    static fn(Stage $stage): bool => $stage->plan_m2 === null &&
                        $stage->chamber_id === null &&
                        $stage->vessel_id === null &&
                        $stage->kind !== 'uv',
                )
                ->count(),
            'power_w' => $build->pumps->sum(static fn(Pump $pump): float => $pump->running ? $pump->power_w : 0.0),
            'cost' => $known->isEmpty() ? null : array_sum($known->all()),
            'uncosted' => $costs->count() - $known->count(),
            'parts' => $costs->count(),
            'trouble' => $trouble,
        ];
    }

    /** @return array{?LoopFlow, ?string} */
    private function solve(Loop $loop): array
    {
        try {
            return [$loop->lines === [] ? null : LoopFlow::of($loop), null];
        } catch (UnsolvableNetwork $unsolvable) {
            return [null, $unsolvable->getMessage()];
        }
    }

    /** How far the lowest chamber stands below the water in the vessels, mm. */
    private function drop(System $build, ?LoopFlow $flow): ?float
    {
        $levels = $this->levels($build, $flow);

        return $levels === [] ? null : -1000 * min($levels);
    }

    private function spare(System $build, ?LoopFlow $flow): ?float
    {
        $spare = [];
        foreach ($this->levels($build, $flow) as $id => $level) {
            $may = $build->stages->firstWhere('id', $id)?->may_drop_mm;
            if ($may !== null) {
                $spare[] = $may + 1000 * $level;
            }
        }

        return $spare === [] ? null : min($spare);
    }

    /** @return array<string, float> of open chambers, m, by stage */
    private function levels(System $build, ?LoopFlow $flow): array
    {
        $levels = [];
        if ($flow === null) {
            return [];
        }
        foreach ($build->stages as $stage) {
            $level = $stage->rim_mm === null && $stage->may_drop_mm === null ? null : $flow->stageLevel($stage->id);
            if ($level !== null) {
                $levels[$stage->id] = $level;
            }
        }

        return $levels;
    }

    /** What its filter takes once grown, clean, at its own flows: g N a day. */
    private function takes(System $build, System $standing, LatestWater $water, ?LoopFlow $flow): ?float
    {
        if ($build->stages->isEmpty()) {
            return null;
        }
        [$conditions] = $this->capacity->read($standing, $water, []);
        $values = $conditions->values;
        $solved = static fn(Stage $stage): float => $flow === null || !$stage->flow_of_loop
            ? $stage->flow_l_h
            : abs($flow->stageFlow($stage->id));

        return $this->registry
            ->run('filter.capacity', [
                'temp_c' => $values['temp_c'],
                'ph' => $values['ph'],
                'do_in_mg_l' => $values['do_mg_l'],
                'tan_mg_l' => $values['tan_mg_l'],
                'alkalinity_mg_l' => $values['alkalinity_mg_l'],
                'stages' => array_values(
                    $build->stages
                        ->map(
                            static fn(Stage $stage): array => [
                                ...$stage->calculation(),
                                'flow_l_h' => $stage->bypassed ? 0.0 : $solved($stage),
                                'maturity_pct' => 100.0,
                                'fouling_pct' => 0.0,
                            ],
                        )
                        ->all(),
                ),
            ])
            ->number('total_g_d');
    }

    /** Vessels and chambers seen from above, m²; what stands in a vessel takes no room of its own. */
    private function footprint(System $build): float
    {
        return $build->vessels->sum(function (Vessel $vessel): float {
            $surface = $this->registry->run('volume.vessel', $vessel->calculation())->figures['surface_m2'];

            return is_float($surface) ? $surface : 0.0;
        }) +
            (float) $build->stages
                ->whereNull('vessel_id')
                ->sum(static fn(Stage $stage): float => (float) $stage->plan_m2);
    }
}
