<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Expected\NitrateSinks;
use App\Expected\WaterTurned;
use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Age;
use App\Models\FilterTest;
use App\Models\Flush;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/**
 * What stands behind a capacity: oxygen by day and dawn, CO2, dirt, nitrate, the filter as it was measured, what it
 * would have to be.
 */
final readonly class FilterReport
{
    public function __construct(
        private Registry $registry,
        private FilterInputs $question,
        private CapacityReport $capacity,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private OxygenReport $oxygen,
        private SizeReport $size,
        private FloorReport $floor,
    ) {}

    /**
     * @param  array<string, string>  $typed  as on the Capacity page
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $typed): array
    {
        [$conditions, $whatIf] = $this->capacity->read($system, $water, $typed);
        $nitrified = $this->nitrified($system, $water, $conditions, $whatIf);
        $origins = $this->question->origins($system, $conditions);
        $biomass = $this->systems->biomass($system)->value + $whatIf->fishKg();
        $load = $this->registry->run('fish.load', [
            'biomass_kg' => max(0.0, $biomass),
            'feed_g_d' => $conditions->values['feed_g_d'],
            'protein_pct' => $conditions->values['protein_pct'],
            'temp_c' => $conditions->values['temp_c'],
        ]);

        /** @var Collection<int, Setback> $setbacks */
        $setbacks = Setback::query()->where('system_id', $system->id)->orderByDesc('happened_on')->limit(10)->get();

        return [
            'loads' => $this->loads($load, $biomass, $conditions, $origins),
            'oxygen' => $this->oxygen->of($system, $conditions, $nitrified ?? 0.0, $biomass, $origins),
            'dirt' => $system->stages->isEmpty() ? [] : $this->dirt($system, $conditions),
            'nitrate' => $this->nitrate($system, $conditions, $whatIf, $water, $load->number('tan_g_d'), $origins),
            'no_filter' => $this->noFilter($system, $conditions, $biomass, $origins),
            'tests' => $this->tests($system),
            'deeds' => array_map(
                static fn(Deed $deed): array => [
                    'id' => $deed->value,
                    'name' => $deed->name(),
                    'by_hours' => $deed->byHours(),
                ],
                Deed::told(),
            ),
            'setbacks' => array_values(
                $setbacks
                    ->map(
                        static fn(Setback $setback): array => [
                            'id' => $setback->id,
                            'on' => $setback->happened_on->toDateString(),
                            'kind' => $setback->kind->value,
                            'name' => $setback->kind->name(),
                            'hours' => $setback->hours,
                            'share_pct' => $setback->share_pct,
                            'lost_pct' => $setback->lost_pct,
                            'low_pct' => $setback->low_pct,
                            'high_pct' => $setback->high_pct,
                        ],
                    )
                    ->all(),
            ),
            'size' => $this->size->of($system, $conditions, $load->number('tan_g_d')),
            'floor' => $this->floor->of($system, $conditions, $load->number('solids_g_d')),
        ];
    }

    /**
     * What the fish keep of oxygen while the air of an outlet is led to its bed.
     *
     * @return list<LedAway>
     */
    public function ledAway(System $system, LatestWater $water): array
    {
        [$conditions, $whatIf] = $this->capacity->read($system, $water, []);

        return $this->oxygen->ledAway(
            $system,
            $conditions,
            $this->nitrified($system, $water, $conditions, $whatIf) ?? 0.0,
            $this->systems->biomass($system)->value,
            $this->question->origins($system, $conditions),
        );
    }

    /** g N a day that the filter takes as it stands; null without one. */
    private function nitrified(
        System $system,
        LatestWater $water,
        Conditions $conditions,
        CapacityWhatIf $whatIf,
    ): ?float {
        $rows = $this->question->believed($system, $this->question->stages($system, $conditions, $whatIf));

        if ($rows === []) {
            return null;
        }
        $living = $this->question->living($system, $water, $conditions, $whatIf, $rows);
        $balance = $this->question->balance($system, $conditions, $whatIf, $rows, $living);
        $taken = $this->registry->run('filter.balance', $balance)->figures['nitrified_g_d'];

        return is_float($taken) ? $taken : null;
    }

    /**
     * @param  list<Origin>  $origins
     * @return list<array<string, mixed>>
     */
    private function loads(Result $load, float $biomass, Conditions $conditions, array $origins): array
    {
        $input = [
            'biomass_kg' => max(0.0, $biomass),
            'feed_g_d' => $conditions->values['feed_g_d'],
            'protein_pct' => $conditions->values['protein_pct'],
            'temp_c' => $conditions->values['temp_c'],
        ];
        $rows = [
            'tan_g_d' => ['Ammonia', 'g N/d'],
            'o2_g_d' => ['Oxygen the fish breathe', 'g O₂/d'],
            'nitrification_o2_g_d' => ['Oxygen to nitrify it', 'g O₂/d'],
            'co2_g_d' => ['CO₂', 'g CO₂/d'],
            'solids_g_d' => ['Dirt, dry', 'g/d'],
            'net_alkalinity_g_d' => ['Alkalinity eaten', 'g CaCO₃/d'],
        ];

        return array_map(
            static fn(string $key, array $row): array => (new Figure(
                $row[0],
                $load->number($key),
                $row[1],
                'fish.load',
                $key,
                $input,
                $origins,
            ))->toArray(),
            array_keys($rows),
            array_values($rows),
        );
    }

    /** @return list<array<string, mixed>> */
    private function dirt(System $system, Conditions $conditions): array
    {
        $input = $this->question->solids($system, $conditions);
        $stages = $this->registry->run('filter.solids', $input)->figures['stages'];
        $last = Flush::query()
            ->with('user')
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->orderBy('happened_at')
            ->orderBy('id')
            ->get()
            ->keyBy('stage_id');
        $rows = [];
        foreach ($system->stages->values() as $i => $stage) {
            $row = is_array($stages) && is_array($stages[$i] ?? null) ? $stages[$i] : [];
            $rows[] = [
                'id' => $stage->id,
                'name' => $stage->name,
                'cleaned' => self::cleaned($stage, $last[$stage->id] ?? null),
                'seen' => $stage->fouling_pct,
                'caught_g_d' => $row['caught_g_d'] ?? 0.0,
                'stored_g' => $stage->cleaned_on === null ? null : $row['stored_g'] ?? 0.0,
                'fouling_pct' => $stage->cleaned_on === null ? $stage->fouling_pct : $row['fouling_pct'] ?? null,
                'room_known' => array_key_exists('holds_g', $row) && $row['holds_g'] !== null,
                'tan_back_g_d' => $stage->cleaned_on === null ? null : $row['tan_back_g_d'] ?? 0.0,
                'o2_back_g_d' => $stage->cleaned_on === null ? null : $row['o2_back_g_d'] ?? 0.0,
                'last' => self::flushed($last[$stage->id] ?? null),
                'blocks_after_d' => $row['blocks_after_d'] ?? null,
                'blocks_in_d' => $stage->cleaned_on === null ? null : $row['blocks_in_d'] ?? null,
            ];
        }

        return $rows;
    }

    /** How long ago it was: by the minute where it was booked, else by the day that is told. */
    private static function cleaned(Stage $stage, ?Flush $last): ?string
    {
        return match (true) {
            $stage->cleaned_on === null => null,
            $last !== null && $last->seen_pct === null => Age::of($last->happened_at),
            default => Age::of($stage->cleaned_on),
        };
    }

    /** @return ?array{id: string, age: string, by: ?string, text: string} */
    private static function flushed(?Flush $flush): ?array
    {
        return $flush === null
            ? null
            : [
                'id' => $flush->id,
                'age' => Age::of($flush->happened_at),
                'by' => $flush->user?->name,
                'text' => $flush->text(),
            ];
    }

    /**
     * @param  list<Origin>  $origins
     * @return list<array<string, mixed>>
     */
    private function nitrate(
        System $system,
        Conditions $conditions,
        CapacityWhatIf $whatIf,
        LatestWater $water,
        float $made,
        array $origins,
    ): array {
        $now = $water->get(Parameter::Nitrate);
        if ($now === null) {
            return [];
        }
        $turned = WaterTurned::of($system, $this->systems->surface($system));
        $input = [
            ...NitrateSinks::of($system, $now->value, $conditions->values['temp_c']),
            'production_g_d' => $made + $system->fertiliserGD(),
            'change_l_d' => $whatIf->number('change_l_d') ?? $turned->litresD(),
            'topup_l_d' => $turned->evaporation->topUpLD,
            'source_no3_n_mg_l' => FilterInputs::sourceNitrate($whatIf, $turned) ?? 0.0,
        ];
        $result = $this->registry->run('nitrate.sinks', $input);
        $rows = [
            'changes_g_d' => ['Changes', 'g N/d'],
            'plants_g_d' => ['Plants', 'g N/d'],
            'bog_g_d' => ['Bog', 'g N/d'],
            'denitrifying_g_d' => ['Denitrifying medium', 'g N/d'],
            'microbes_g_d' => ['Microbes fed on carbon', 'g N/d'],
            'sludge_g_d' => ['Sludge', 'g N/d'],
            'total_g_d' => ['All together', 'g N/d'],
            'no3_n_steady_mg_l' => ['Nitrate settles at', Parameter::Nitrate->symbol() ?? ''],
        ];
        $figures = [];
        foreach ($rows as $key => [$label, $unit]) {
            // What is not there at all takes no line.
            if (is_float($result->figures[$key]) && ($key !== 'microbes_g_d' || $input['carbon_g_d'] > 0)) {
                $value =
                    $key === 'no3_n_steady_mg_l'
                        ? Parameter::Nitrate->shown($result->number($key))
                        : $result->number($key);
                $figures[] = (new Figure($label, $value, $unit, 'nitrate.sinks', $key, $input, [
                    ...$origins,
                    new Origin(
                        'no3_n_mg_l',
                        'Nitrate',
                        Format::number($now->value, 3) . ' mg/L as N',
                        'measured',
                        'the latest reading',
                    ),
                ]))->toArray();
            }
        }

        return $figures;
    }

    /**
     * @param  list<Origin>  $origins
     * @return list<array<string, mixed>>
     */
    private function noFilter(System $system, Conditions $conditions, float $biomass, array $origins): array
    {
        $input = [
            'volume_l' => max(1.0, $this->volumes->inUse($system)->value),
            'biomass_kg' => max(0.0, $biomass),
            'feed_g_d' => $conditions->values['feed_g_d'],
            'protein_pct' => $conditions->values['protein_pct'],
            'temp_c' => $conditions->values['temp_c'],
            'ph' => $conditions->values['ph'],
            'tan_limit_mg_l' => $conditions->values['tan_mg_l'],
        ];
        $result = $this->registry->run('filter.no_filter', $input);
        $rows = [
            'change_pct_d' => ['One change a day', '%'],
            'trickle_l_d' => ['Or a trickle', 'L/d'],
            'hours_between' => ['At least every', 'h'],
        ];

        return array_map(
            static fn(string $key, array $row): array => (new Figure(
                $row[0],
                $result->number($key),
                $row[1],
                'filter.no_filter',
                $key,
                $input,
                $origins,
            ))->toArray(),
            array_keys($rows),
            array_values($rows),
        );
    }

    /** @return list<array<string, mixed>> */
    private function tests(System $system): array
    {
        /** @var Collection<int, FilterTest> $tests */
        $tests = FilterTest::query()->where('system_id', $system->id)->orderByDesc('tested_at')->limit(10)->get();

        return array_values(
            $tests
                ->map(function (FilterTest $test): array {
                    $removal = $this->registry->run($test->calculator(), $test->calculation())->number('removal_g_d');
                    $origin =
                        $test->run === null
                            ? new Origin(
                                'in_mg_l',
                                'Before and after',
                                Format::number((float) $test->in_mg_l) .
                                    ', ' .
                                    Format::number((float) $test->out_mg_l) .
                                    ' mg/L',
                                'measured',
                                'measured ' . Age::of($test->tested_at),
                            )
                            : new Origin(
                                'readings',
                                'Readings',
                                count($test->run['readings']) . ' of ammonia',
                                'measured',
                                'from the book, ' . Age::of($test->tested_at),
                            );

                    return [
                        'id' => $test->id,
                        'age' => Age::of($test->tested_at),
                        'in_use' => $test->in_use,
                        'expected_g_d' => $test->expected_g_d,
                        'run' => $test->run !== null,
                        'removal' => (new Figure(
                            'The filter took',
                            $removal,
                            'g N/d',
                            $test->calculator(),
                            'removal_g_d',
                            $test->calculation(),
                            [$origin],
                        ))->toArray(),
                        'ratio' => $test->expected_g_d > 0 ? $removal / $test->expected_g_d : null,
                    ];
                })
                ->all(),
        );
    }
}
