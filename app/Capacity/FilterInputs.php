<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Expected\WaterTurned;
use App\Fish\FeedPlan;
use App\Forms\Origin;
use App\Living\Living;
use App\Living\WhatLives;
use App\Models\FilterTest;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Aeration\Aeration;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Water\Oxygen;

/** A system, its water and its book as the input of the calculators of load and capacity. */
final readonly class FilterInputs
{
    public function __construct(
        private Registry $registry,
        private LimitsInForce $limits,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private FeedPlan $feed,
        private WhatLives $lives,
        private SystemLoad $load,
    ) {}

    /** @return array<string, mixed> input of `filter.solids` */
    public function solids(System $system, Conditions $conditions): array
    {
        return [
            'feed_g_d' => $conditions->values['feed_g_d'],
            'uneaten_pct' => $system->feed()->uneaten_pct ?? 0.0,
            'temp_c' => $conditions->values['temp_c'],
            'stages' => array_values(
                $system->stages
                    ->map(
                        static fn(Stage $stage): array => [
                            'kind' => $stage->kind,
                            'flow_l_h' => $stage->bypassed ? 0.0 : $stage->flow_l_h,
                            'media_l' => $stage->media_l,
                            ...$stage->water_l === null ? [] : ['water_l' => $stage->water_l],
                            'days_since_flush' =>
                                $stage->cleaned_on === null
                                    ? 0.0
                                    : max(0.0, min(3650.0, floor($stage->cleaned_on->diffInDays(now())))),
                            ...$stage->fouling_pct === null || $stage->cleaned_on === null
                                ? []
                                : [
                                    'seen_pct' => $stage->fouling_pct,
                                    'seen_days_ago' =>
                                        $stage->fouling_seen_on === null
                                            ? 0.0
                                            : max(0.0, floor($stage->fouling_seen_on->diffInDays(now()))),
                                ],
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * The rows of the stages, fouled as the last service and the keeper's eye tell.
     *
     * @return list<array<string, mixed>> input of `filter.balance`
     */
    public function stages(System $system, Conditions $conditions, CapacityWhatIf $whatIf): array
    {
        $dirt = $system->stages->isEmpty()
            ? []
            : $this->registry->run('filter.solids', $this->solids($system, $conditions))->figures['stages'];
        $rows = [];
        foreach ($system->stages->values() as $i => $stage) {
            $reckoned =
                is_array($dirt) && is_array($dirt[$i] ?? null) && is_float($dirt[$i]['fouling_pct'] ?? null)
                    ? $dirt[$i]['fouling_pct']
                    : 0.0;
            $rows[] = $whatIf->stage($stage, [
                ...$stage->calculation(),
                'maturity_pct' => 100.0,
                'fouling_pct' => $stage->cleaned_on === null ? $stage->fouling_pct ?? 0.0 : $reckoned,
            ]);
        }

        return $rows;
    }

    /**
     * @param  list<array<string, mixed>>  $stages
     * @param  ?Living  $living  what lives in them; null where nothing can
     * @return array<string, mixed> input of `filter.balance`
     */
    public function balance(
        System $system,
        Conditions $conditions,
        CapacityWhatIf $whatIf,
        array $stages,
        ?Living $living,
    ): array {
        $values = $conditions->values;
        $biomass = $this->systems->biomass($system)->value;
        $added = $whatIf->fishKg();
        $perKg = $biomass > 0 ? $values['feed_g_d'] / $biomass : 10.0;
        // Nitrate tells in months, and is changed away: nobody takes fish out before it has to be acted on.
        $no3 = $this->limits->for($system, Parameter::Nitrate)->above?->act;
        $input = [
            'volume_l' => max(1.0, $this->volumes->inUse($system)->value),
            'biomass_kg' => max(0.0, $biomass + $added),
            'feed_g_d' => max(0.0, $values['feed_g_d'] + $perKg * $added),
            'protein_pct' => $values['protein_pct'],
            'temp_c' => $values['temp_c'],
            'ph' => $values['ph'],
            'alkalinity_mg_l' => $values['alkalinity_mg_l'],
            'altitude_m' => $system->site->altitude_m,
            'stages' => $stages,
            'walls_m2' => $this->systems->walls($system),
            'tan_limit_mg_l' => $values['tan_mg_l'],
            'nh3_limit_mg_l' => $this->limits->unionised($system),
            'do_limit_mg_l' => $this->limits->for($system, Parameter::Oxygen)->below->watch ?? 6.0,
            'length_cm' => $whatIf->length(),
            'kept_back_pct' => round(100 * (1 - $this->usable($system)), 6),
            'density_limit_kg_m3' => $this->limits->following($system)->in('density')->figure($system->kind),
            'surface_m2' => $this->systems->surface($system),
            'devices' => Aerators::of($system),
        ];
        $plan = $system->feed();
        $turned = WaterTurned::of($system, $this->systems->surface($system));
        $optional = [
            'digestibility_pct' => $plan?->digestibility_pct,
            'uneaten_pct' => $plan?->uneaten_pct,
            'no3_n_limit_mg_l' => $no3,
            'do_mg_l' => $conditions->origins['do_mg_l']->kind === 'typed' ? $values['do_mg_l'] : null,
            'aeration_l_h' =>
                $conditions->origins['do_mg_l']->kind === 'typed'
                    ? null
                    : $this->aeration($system, $conditions, $biomass),
            'change_l_d' => $whatIf->number('change_l_d') ?? $turned->litresD(),
            'topup_l_d' => $turned->evaporation->topUpLD,
            'source_no3_n_mg_l' => self::sourceNitrate($whatIf, $turned),
            'source_tan_mg_l' => $turned->brings['tan_mg_l'] ?? null,
            'source_alkalinity_mg_l' => $turned->brings['alkalinity_mg_l'] ?? null,
        ];
        $input = [...$input, ...array_filter($optional, static fn(?float $value): bool => $value !== null)];

        return $living === null
            ? $input
            : [
                ...$input,
                ...array_map(static fn(float $pct): float => $pct * (1 - ($whatIf->number('lost_pct') ?? 0.0) / 100), [
                    'active_pct' => $living->pct,
                    'active_low_pct' => $living->lowPct,
                    'active_high_pct' => $living->highPct,
                ]),
            ];
    }

    /**
     * Aeration as it must be to hold the oxygen that was measured under the present load; null where it is to be
     * reckoned from what aerates it. Without either, what was assumed stands in for a measurement.
     */
    private function aeration(System $system, Conditions $conditions, float $biomass): ?float
    {
        if ($conditions->origins['do_mg_l']->kind === 'assumed' && Aerators::of($system) !== []) {
            return null;
        }
        $temp = $conditions->measuredTemperature();
        $plan = $system->feed();
        $load = DailyLoad::of(
            $biomass,
            $plan === null ? 0.0 : $this->feed->perDay($system, $plan, $temp),
            $this->feed->protein($plan) / 100,
            $plan?->digestibility_pct === null ? DailyLoad::USUAL_DIGESTIBILITY : $plan->digestibility_pct / 100,
            ($plan->uneaten_pct ?? 0.0) / 100,
            $temp,
        );
        $demand = ($load->oxygenWithDirt(DailyLoad::DIRT_O2_G_G) + $load->nitrificationOxygen()) / 24;

        // Nothing breathes in it yet: what brings oxygen in is then only known by its build.
        return $demand <= 0
            ? null
            : $this->since($system, $conditions, $temp) *
                    (new Aeration([], 0.0, $temp, 0.0, Oxygen::pressureAtAltitude($system->site->altitude_m)))->needed(
                        $conditions->values['do_mg_l'],
                        $demand,
                    );
    }

    /** How many times as much aerates it now as when its oxygen was measured: 1 where nothing was switched since. */
    private function since(System $system, Conditions $conditions, float $temp): float
    {
        $devices = Aerators::of($system, $conditions->oxygenMeasuredAt());
        $ran = array_map(static fn(array $one): array => [...$one, 'on' => $one['ran'] ?? $one['on']], $devices);
        if ($ran === $devices || array_column($devices, 'ran') === []) {
            return 1.0;
        }
        $moves = fn(array $devices): float => $this->registry
            ->run('oxygen.budget', [
                'volume_l' => max(1.0, $this->volumes->inUse($system)->value),
                'temp_c' => $temp,
                'biomass_kg' => 0.0,
                'altitude_m' => $system->site->altitude_m,
                'surface_m2' => $this->systems->surface($system),
                'devices' => $devices,
            ])
            ->number('conductance_l_h');
        $then = $moves($ran);

        return $then > 0 ? $moves($devices) / $then : 1.0;
    }

    /**
     * How much of the surface lives today: in the water of the book and the filter as it is built, whatever is asked
     * about. What is asked to be added to it brings nothing that lives.
     *
     * @param  list<array<string, mixed>>  $stages  input of `filter.balance`, as asked about
     */
    public function living(
        System $system,
        LatestWater $latest,
        Conditions $conditions,
        CapacityWhatIf $whatIf,
        array $stages,
    ): ?Living {
        $walls = $this->systems->walls($system);
        $book = $conditions->ofBook();
        $asked = !$whatIf->nothing();
        $rows = $asked
            ? $this->believed($system, $this->stages($system, $conditions, CapacityWhatIf::none()))
            : $stages;
        $living = $this->lives->of($system, $latest, $rows, $book, $walls);
        if ($living === null || !$asked || $stages === []) {
            return $living;
        }
        $were = $this->lives->reach($rows, $book, $walls)['greatest'];

        return $were > 0 ? $living->on($this->lives->reach($stages, $book, $walls)['greatest'] / $were) : $living;
    }

    /** mg/L as N, as asked about or as the water that comes in was tested. */
    public static function sourceNitrate(CapacityWhatIf $whatIf, WaterTurned $turned): ?float
    {
        $asked = $whatIf->number('source_no3_mg_l');

        return $asked === null ? $turned->brings['no3_n_mg_l'] ?? null : $asked / MolarMass::NO3_PER_N;
    }

    /** Share of what the filter can take that this keeper uses, 0 to 1: a school. */
    public function usable(System $system): float
    {
        return $this->limits->following($system)->in('margin')->figure('share');
    }

    /** What the stages of the filter take grown, g N/d at 20 °C: as it is built and believed. */
    public function grownAt20(System $system, LatestWater $latest): float
    {
        if ($system->stages->isEmpty()) {
            return 0.0;
        }
        $conditions = $this->load->conditions($system, $latest, []);
        $rows = $this->believed($system, $this->stages($system, $conditions, CapacityWhatIf::none()));
        $book = $conditions->ofBook();

        return array_sum($this->lives->reach($rows, $book, 0.0)['stages']) / ArealRate::warmth($book['temp_c']);
    }

    /**
     * A filter that was measured and is believed works as if it had so much more or less medium.
     *
     * @param  list<array<string, mixed>>  $rows  stages, as input of `filter.balance`
     * @return list<array<string, mixed>>
     */
    public function believed(System $system, array $rows): array
    {
        $test = FilterTest::query()->where('system_id', $system->id)->where('in_use', true)->first();
        if ($test === null || $test->expected_g_d <= 0) {
            return $rows;
        }
        $ratio = max(
            0.0,
            min(
                5.0,
                $this->registry->run($test->calculator(), $test->calculation())->number('removal_g_d') /
                    $test->expected_g_d,
            ),
        );

        return array_map(
            static fn(array $row): array => [
                ...$row,
                'media_l' => (is_numeric($row['media_l'] ?? null) ? (float) $row['media_l'] : 0.0) * $ratio,
            ],
            $rows,
        );
    }

    /** @return list<Origin> of the input of `filter.balance` */
    public function origins(System $system, Conditions $conditions): array
    {
        return [
            ...array_values($conditions->origins),
            new Origin(
                'volume_l',
                'Volume',
                Format::number($this->volumes->inUse($system)->value, 5) . ' L',
                'computed',
                'the volume used for doses',
            ),
            new Origin(
                'stages',
                'Stages',
                $system->stages->pluck('name')->implode(', '),
                'build',
                "from the build of {$system->name}",
            ),
            new Origin(
                'walls_m2',
                'Walls and stones',
                Format::number($this->systems->walls($system), 3) . ' m²',
                'computed',
                'wetted surface of the vessels, and stones',
            ),
            ...self::turned(WaterTurned::of($system, $this->systems->surface($system))),
            new Origin(
                'devices',
                'Aeration',
                Aerators::of($system) === []
                    ? 'none described'
                    : implode(', ', array_filter(array_column(Aerators::of($system), 'name'), is_string(...))),
                'build',
                'air pumps, falls and showers of the build',
            ),
        ];
    }

    /** @return list<Origin> */
    private static function turned(WaterTurned $turned): array
    {
        return [
            new Origin(
                'change_l_d',
                'Water changed',
                Format::number($turned->litresD(), 3) . ' L/d',
                'computed',
                $turned->said(),
            ),
            new Origin(
                'topup_l_d',
                'Topped up for evaporation',
                Format::number($turned->evaporation->topUpLD, 3) . ' L/d',
                $turned->bookedTopUpLD >= $turned->evaporation->topUpLD ? 'computed' : 'assumed',
                $turned->toppedUp(),
            ),
        ];
    }
}
