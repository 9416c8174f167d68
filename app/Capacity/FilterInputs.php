<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Fish\FeedPlan;
use App\Forms\Origin;
use App\Models\FeedFigure;
use App\Models\FilterTest;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Aeration\Aeration;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Colony;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Water\Oxygen;

/** A system, its water and its book as the input of the calculators of load and capacity. */
final readonly class FilterInputs
{
    /** How far back the load of a filter is followed, days. */
    private const WEEKS_BACK_D = 84;

    public function __construct(
        private Registry $registry,
        private LimitsInForce $limits,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private FeedPlan $feed,
        private StageKinds $kinds,
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
     * @return array<string, mixed> input of `filter.balance`
     */
    public function balance(System $system, Conditions $conditions, CapacityWhatIf $whatIf, array $stages): array
    {
        $values = $conditions->values;
        $biomass = $this->systems->biomass($system)->value;
        $added = $whatIf->fishKg();
        $perKg = $biomass > 0 ? $values['feed_g_d'] / $biomass : 10.0;
        $no3 = $this->limits->for($system, Parameter::Nitrate)->above?->watch;
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
            'surface_m2' => $this->systems->surface($system),
            'devices' => $this->devices($system),
        ];
        $plan = $system->feed();
        $optional = [
            'digestibility_pct' => $plan?->digestibility_pct,
            'uneaten_pct' => $plan?->uneaten_pct,
            'no3_n_limit_mg_l' => $no3,
            'do_mg_l' => $conditions->origins['do_mg_l']->kind === 'typed' ? $values['do_mg_l'] : null,
            'aeration_l_h' =>
                $conditions->origins['do_mg_l']->kind === 'typed'
                    ? null
                    : $this->aeration($system, $conditions, $biomass),
            'change_l_d' => $whatIf->number('change_l_d'),
            'source_no3_n_mg_l' =>
                $whatIf->number('source_no3_mg_l') === null
                    ? null
                    : $whatIf->number('source_no3_mg_l') / MolarMass::NO3_PER_N,
        ];
        $input = [...$input, ...array_filter($optional, static fn(?float $value): bool => $value !== null)];
        $active = $this->active($system, $input, $values['do_mg_l']);

        return $active === null
            ? $input
            : [...$input, 'active_pct' => $active * (1 - ($whatIf->number('lost_pct') ?? 0.0) / 100)];
    }

    /**
     * Aeration as it must be to hold the oxygen that was measured under the present load; null where it is to be
     * reckoned from what aerates it. Without either, what was assumed stands in for a measurement.
     */
    private function aeration(System $system, Conditions $conditions, float $biomass): ?float
    {
        if ($conditions->origins['do_mg_l']->kind === 'assumed' && $this->devices($system) !== []) {
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
            : (new Aeration([], 0.0, $temp, 0.0, Oxygen::pressureAtAltitude($system->site->altitude_m)))->needed(
                $conditions->values['do_mg_l'],
                $demand,
            );
    }

    /**
     * How much of the surface lives, from the keeper's own figure or from the load of the last weeks, less what
     * befell it.
     *
     * @param  array<string, mixed>  $input  of `filter.balance`
     * @param  float  $oxygen  mg/L
     * @return ?float percent; null without a filter
     */
    private function active(System $system, array $input, float $oxygen): ?float
    {
        if ($input['stages'] === []) {
            return null;
        }
        $judged = $system->stages->filter(
            fn(Stage $stage): bool => $stage->maturity_pct !== null && $this->kinds->get($stage->kind)->nitrifies(),
        );
        if ($judged->isNotEmpty()) {
            $weight = $judged->sum(static fn(Stage $stage): float => max(1e-6, $stage->media_l));

            return $judged->sum(
                static fn(Stage $stage): float => max(1e-6, $stage->media_l) * (float) $stage->maturity_pct,
            ) / $weight;
        }
        $temp = is_numeric($input['temp_c']) ? (float) $input['temp_c'] : AssumedWater::TEMPERATURE_C;
        $reach = $this->registry->run('filter.reach', [
            ...array_intersect_key($input, array_flip(['temp_c', 'ph', 'alkalinity_mg_l', 'walls_m2', 'stages'])),
            'do_mg_l' => $oxygen,
        ]);
        $colony = new Colony($reach->number('greatest_g_d'), $reach->number('flat_out_pct') / 100, $temp);
        /** @var Collection<int, FeedFigure> $plans */
        $plans = FeedFigure::query()->where('system_id', $system->id)->orderBy('since')->get();
        /** @var Collection<int, Setback> $setbacks */
        $setbacks = Setback::query()
            ->where('system_id', $system->id)
            ->where('happened_on', '>=', Carbon::now()->subDays(self::WEEKS_BACK_D))
            ->orderBy('happened_on')
            ->get();

        return 100 * $this->follow($system, $colony, $plans, $setbacks, $temp);
    }

    /**
     * @param  Collection<int, FeedFigure>  $plans
     * @param  Collection<int, Setback>  $setbacks
     */
    private function follow(System $system, Colony $colony, Collection $plans, Collection $setbacks, float $temp): float
    {
        $biomass = $this->systems->biomass($system)->value;
        $load = fn(?FeedFigure $plan): float => DailyLoad::of(
            $biomass,
            $plan === null ? 0.0 : $this->feed->perDay($system, $plan, $temp),
            $this->feed->protein($plan) / 100,
            $plan?->digestibility_pct === null ? DailyLoad::USUAL_DIGESTIBILITY : $plan->digestibility_pct / 100,
            ($plan->uneaten_pct ?? 0.0) / 100,
            $temp,
        )->tan();
        $day = Carbon::now()->subDays(self::WEEKS_BACK_D)->startOfDay();
        $plan =
            $plans->filter(static fn(FeedFigure $figure): bool => $figure->since->lte($day))->last() ?? $plans->first();
        $share = min($colony->settles($load($plan)), $this->standing($system, $day));
        $stops = $plans
            ->filter(static fn(FeedFigure $figure): bool => $figure->since->gt($day))
            ->map(static fn(FeedFigure $figure): array => [$figure->since, $figure])
            ->concat($setbacks->map(static fn(Setback $setback): array => [$setback->happened_on, $setback]))
            ->concat($this->begun($system, $day)->map(static fn(Carbon $since): array => [$since, null]))
            ->sortBy(static fn(array $stop): int => $stop[0]->getTimestamp())
            ->values();
        foreach ($stops as [$at, $what]) {
            $grown = $colony->after($share, $load($plan), max(0.0, $day->diffInDays($at)));
            $share = min($grown, $this->standing($system, $day));
            $day = $at->greaterThan($day) ? $at : $day;
            if ($what instanceof Setback) {
                $share *= 1 - $what->lost_pct / 100;
            } elseif ($what instanceof FeedFigure) {
                $plan = $what;
            }
        }
        $grown = $colony->after($share, $load($plan), max(0.0, $day->diffInDays(Carbon::now())));

        return min($grown, $this->standing($system, $day));
    }

    /** @return array{string, string} what the grown share rests on, and how that is called */
    public function grownBy(System $system): array
    {
        $silent = $this->nitrifying($system)->filter(
            static fn(Stage $stage): bool => $stage->since === null && $stage->maturity_pct === null,
        );

        return $silent->isEmpty()
            ? ['computed', 'as the load since the media went in fed it']
            : [
                'assumed',
                'Taken as long grown in: nobody said since when ' . $silent->pluck('name')->implode(', ') . ' ran',
            ];
    }

    /** How much of today's media was in by a day, 0 to 1: nothing lives on what was not there. */
    private function standing(System $system, Carbon $by): float
    {
        $stages = $this->nitrifying($system);
        $media = static fn(Stage $stage): float => max(1e-6, $stage->media_l);
        $in = $stages->filter(static fn(Stage $stage): bool => $stage->since === null || $stage->since->lte($by));

        return $stages->isEmpty() ? 1.0 : $in->sum($media) / $stages->sum($media);
    }

    /** @return Collection<int, Carbon> days since then on which media went in */
    private function begun(System $system, Carbon $since): Collection
    {
        return $this->nitrifying($system)
            ->map(static fn(Stage $stage): ?Carbon => $stage->since)
            ->filter(static fn(?Carbon $in): bool => $in !== null && $in->gt($since))
            ->values();
    }

    /** @return Collection<int, Stage> */
    private function nitrifying(System $system): Collection
    {
        return $system->stages
            ->filter(fn(Stage $stage): bool => $this->kinds->get($stage->kind)->nitrifies())
            ->values();
    }

    /** @return list<array<string, mixed>> what aerates the system by its build, as calculators take it */
    public function devices(System $system): array
    {
        $devices = [];
        foreach ($system->pumps as $pump) {
            if ($pump->kind === 'air' || $pump->kind === 'airlift') {
                $devices[] = [
                    'kind' => $pump->diffuser ?? 'stone',
                    'name' => $pump->name,
                    'air_l_min' => (float) $pump->air_l_min,
                    'depth_m' => $pump->depth_m ?? ($pump->submergence_m ?? 0.7),
                    'on' => $pump->running ? 'yes' : 'no',
                ];
            }
        }
        $running = $system->pumps->contains(static fn(Pump $pump): bool => $pump->kind === 'water' && $pump->running);
        $returns = $system->lines->filter(
            static fn(Line $line): bool => $line->to_vessel_id !== null &&
                $line->from_vessel_id === null &&
                ($line->ends_above_mm > 0 || in_array($line->outlet, ['waterfall', 'spray_bar', 'jet'], true)) &&
                $line->valve_open_pct !== 0.0,
        );
        $share = $system->throughput() / max(1, $returns->count());
        foreach ($returns as $line) {
            $kind = in_array($line->outlet, ['waterfall', 'spray_bar', 'jet'], true) ? $line->outlet : 'waterfall';
            $devices[] = [
                'kind' => $kind,
                'name' => $line->name,
                'flow_l_h' => (float) $share,
                'fall_m' => max(0.05, $line->ends_above_mm / 1000),
                'on' => $running ? 'yes' : 'no',
            ];
        }
        foreach ($system->stages as $stage) {
            if ($stage->kind === 'shower') {
                $devices[] = [
                    'kind' => 'shower',
                    'name' => $stage->name,
                    'flow_l_h' => $stage->flow_l_h,
                    'on' => $running ? 'yes' : 'no',
                ];
            }
        }

        return $devices;
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
                'the volume that doses go by',
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
            new Origin(
                'devices',
                'Aeration',
                $this->devices($system) === []
                    ? 'none described'
                    : implode(', ', array_filter(array_column($this->devices($system), 'name'), is_string(...))),
                'build',
                'air pumps, falls and showers of the build',
            ),
        ];
    }

    /** The measured filter that stands in for the estimate, if the keeper chose one. */
    public function measured(System $system): ?FilterTest
    {
        return FilterTest::query()->where('system_id', $system->id)->where('in_use', true)->first();
    }
}
