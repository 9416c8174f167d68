<?php

declare(strict_types=1);

namespace App\Service;

use App\Capacity\CapacityReport;
use App\Capacity\FilterInputs;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Words\Message;

/** Why a stage blocks sooner than its interval, where somebody saw how far it was fouled. */
final readonly class BlockingReport
{
    /** It blocks too fast when it reaches its half before three quarters of its interval. */
    private const SOON = 0.75;

    public function __construct(
        private Registry $registry,
        private CapacityReport $capacity,
        private FilterInputs $question,
        private LoopSums $sums,
    ) {}

    /**
     * @param  list<DueJob>  $jobs
     * @return list<array{name: string, blocks_d: float, causes: list<array{name: string, value: float, unit: string,
     *     from: float, says: array{code: string, text: string}}>}>
     */
    public function of(System $system, LatestWater $water, array $jobs): array
    {
        $fast = [];
        foreach ($jobs as $one) {
            $stage = $one->part->part;
            $blocks = $one->job->cleans ? DueJobs::blocks($one->part) : null;
            if ($stage instanceof Stage && $blocks !== null && $blocks < self::SOON * $one->job->everyD) {
                $fast[$stage->id] = [$stage, $blocks];
            }
        }
        if ($fast === []) {
            return [];
        }
        $known = $this->known($system, $water);
        $dirt = $this->dirt($system, $water);

        return array_values(
            array_map(
                fn(array $one): array => [
                    'name' => $one[0]->name,
                    'blocks_d' => $one[1],
                    'causes' => $this->causes(['blocks_d' => $one[1], ...$known, ...$dirt[$one[0]->id] ?? []]),
                ],
                $fast,
            ),
        );
    }

    /**
     * @param  array<string, float>  $input
     * @return list<array{name: string, value: float, unit: string, from: float,
     *     says: array{code: string, text: string}}>
     */
    private function causes(array $input): array
    {
        $causes = $this->registry->run('filter.blocking', $input)->figures['causes'];

        return array_values(
            array_map(
                static fn(mixed $one): array => [
                    'name' => is_array($one) && is_string($one['name']) ? $one['name'] : '',
                    'value' => is_array($one) && is_float($one['value']) ? $one['value'] : 0.0,
                    'unit' => is_array($one) && is_string($one['unit']) ? $one['unit'] : '',
                    'from' => is_array($one) && is_numeric($one['from']) ? (float) $one['from'] : 0.0,
                    'says' => Message::of(is_array($one) && is_string($one['code']) ? $one['code'] : '')->toArray(),
                ],
                is_array($causes) ? $causes : [],
            ),
        );
    }

    /** @return array<string, float> what of the system `filter.blocking` asks for */
    private function known(System $system, LatestWater $water): array
    {
        $verdict = $this->capacity->of($system, $water);
        $feed = $system->feed();
        $biomass = $this->sums->biomass($system)->value;
        $floor = $system->vessels->sum(function (Vessel $vessel): float {
            $area = $vessel->holdsFish()
                ? $this->registry->run('volume.vessel', $vessel->calculation())->figures['surface_m2']
                : null;

            return is_float($area) ? $area : 0.0;
        });

        return array_filter(
            [
                'biomass_kg' => $biomass > 0 ? $biomass : null,
                'feed_g_d' => $feed?->feed_g_d,
                'uneaten_pct' => $feed?->uneaten_pct,
                'load_g_d' => $verdict->load->value,
                'capacity_g_d' => $verdict->grown?->value,
                'clarity_cm' => $water->get(Parameter::Clarity)?->value,
                'silt_m2' =>
                    $floor > 0 ? $system->vessels->sum(static fn(Vessel $vessel): float => $vessel->silt_m2) : null,
                'floor_m2' => $floor > 0 ? $floor : null,
            ],
            static fn(?float $value): bool => $value !== null,
        );
    }

    /** @return array<string, array<string, float>> what each stage catches and holds, by its key */
    private function dirt(System $system, LatestWater $water): array
    {
        [$conditions] = $this->capacity->read($system, $water, []);
        $rows = $this->registry->run('filter.solids', $this->question->solids($system, $conditions))->figures['stages'];
        $dirt = [];
        foreach ($system->stages->values() as $i => $stage) {
            $row = is_array($rows) && is_array($rows[$i] ?? null) ? $rows[$i] : [];
            $dirt[$stage->id] = array_filter(
                [
                    'caught_g_d' => is_float($row['caught_g_d'] ?? null) ? $row['caught_g_d'] : null,
                    'room_g' => is_float($row['holds_g'] ?? null) ? $row['holds_g'] : null,
                ],
                static fn(?float $value): bool => $value !== null,
            );
        }

        return $dirt;
    }
}
