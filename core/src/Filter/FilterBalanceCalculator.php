<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Aeration\Aeration;
use Ironwort\Core\Aeration\AerationInputs;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AirPressure;
use Ironwort\Core\Water\BufferCalculator;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Load against capacity, oxygen and alkalinity together: where the system settles, what runs out
 * first, and how much more it takes, at once and in steps.
 *
 *     volume_l 9000, biomass_kg 50, feed_g_d 220, temp_c 18, ph 7.5, alkalinity_mg_l 90, do_mg_l 7.8, stages
 *       [{"kind": "static_bed", "medium": "floating_bead", "media_l": 200, "flow_l_h": 9000}]  →  load_g_d 7.69,
 *       capacity_g_d 6.13, limiting surface, tan_mg_l 0.324, first ammonia
 *
 * @see Balance, Colony, Headroom for formulas, validity and sources
 *
 * @source cp-alkalinity-fall  36 mg/L (2 dKH) a week between bufferings
 */
final readonly class FilterBalanceCalculator implements Calculator
{
    public function __construct(private StageRows $rows, private StageKinds $kinds, private AerationInputs $aeration) {}

    public function name(): string
    {
        return 'filter.balance';
    }

    public function title(): string
    {
        return 'What a system settles at, and how much more it takes';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6),
            LoadInputs::feed(),
            LoadInputs::protein(),
            Input::number('digestibility_pct', 'Digestibility of the protein', '%', 30, 100)->or(80.0),
            Input::number('uneaten_pct', 'Left uneaten', '%', 0, 100)->or(0.0),
            LoadInputs::dirt(),
            WaterInputs::temperature(),
            WaterInputs::ph(),
            WaterInputs::alkalinity(),
            WaterInputs::salinity(),
            ...AirPressure::inputs(),
            $this->rows->input(),
            Input::number('walls_m2', 'Wetted walls and stones outside the filter', 'm²', 0, 1e6)->or(0.0),
            Input::number('active_pct', 'Of the surface, grown by now', '%', 0, 100)->optional(),
            Input::number('active_low_pct', 'grown by now, at least', '%', 0, 100)->optional(),
            Input::number('active_high_pct', 'grown by now, at most', '%', 0, 100)->optional(),
            Input::number('do_mg_l', 'Oxygen as measured', 'mg/L', 0, 30)->optional(),
            Input::number('aeration_l_h', 'Aeration known otherwise', 'L/h', 0, 1e9)->optional(),
            ...$this->aeration->inputs(),
            Input::number('night_g_h', 'Plants by night', 'g/h', 0, 1e6)->or(0.0),
            Input::number('change_l_d', 'Water changed', 'L/d', 0, 1e8)->or(0.0),
            Input::number('topup_l_d', 'Topped up for evaporation', 'L/d', 0, 1e8)->or(0.0),
            Input::number('source_tan_mg_l', 'Ammonia in new water', 'mg/L as N', 0, 100)->or(0.0),
            Input::number('source_no3_n_mg_l', 'Nitrate in new water', 'mg/L as N', 0, 500)->or(0.0),
            Input::number('source_alkalinity_mg_l', 'Alkalinity of new water', 'mg/L as CaCO₃', 0, 1000)->optional(),
            Input::number('tan_limit_mg_l', 'Most total ammonia', 'mg/L as N', 0.01, 20)->or(0.25),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
            Input::number('do_limit_mg_l', 'Least oxygen', 'mg/L', 1, 15)->or(6.0),
            Input::number('no3_n_limit_mg_l', 'Most nitrate', 'mg/L as N', 0.5, 500)->or(11.3),
            Input::number('alkalinity_fall_mg_l_w', 'Alkalinity may fall in a week', 'mg/L as CaCO₃', 1, 500)->or(36.0),
            Input::number('kept_back_pct', 'Kept back of the filter', '%', 0, 95)->or(0.0),
            Input::number('density_limit_kg_m3', 'Most fish', 'kg/m³', 0.1, 500)->optional(),
            Input::number('length_cm', 'Length of a fish more', 'cm', 2, 130)->or(50.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('load_g_d', 'g N/d'),
            new Output('capacity_g_d', 'g N/d'),
            new Output('capacity_now_g_d', 'g N/d'),
            new Output('capacity_now_low_g_d', 'g N/d'),
            new Output('capacity_now_high_g_d', 'g N/d'),
            new Output('capacity_flow_oxygen_g_d', 'g N/d'),
            new Output('walls_g_d', 'g N/d'),
            new Output('spare_pct', '%'),
            new Output('spare_now_pct', '%'),
            new Output('limiting'),
            new Output('tan_mg_l', 'mg/L as N'),
            new Output('nh3_n_mg_l', 'mg/L as N'),
            new Output('no2_n_mg_l', 'mg/L as N'),
            new Output('do_mg_l', 'mg/L'),
            new Output('no3_n_mg_l', 'mg/L as N'),
            new Output('nitrified_g_d', 'g N/d'),
            new Output('changed_g_d', 'g N/d'),
            new Output('alkalinity_fall_mg_l_w', 'mg/L'),
            new Output('bicarbonate_g_w', 'g'),
            new Output('active_pct', '%'),
            new Output('greatest_g_d', 'g N/d'),
            new Output('hardest_pct', '%'),
            new Output('headroom_now'),
            new Output('headroom_grown'),
            new Output('first'),
            new Output('first_fish'),
            new Output('steps'),
            new Output('stages_off'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $stages = $this->rows->read($given);
        $load = DailyLoad::of(
            $given->number('biomass_kg'),
            $given->number('feed_g_d'),
            $given->number('protein_pct') / 100,
            $given->number('digestibility_pct') / 100,
            $given->number('uneaten_pct') / 100,
            $temp,
        );
        $water = StageInflow::from($given);
        $walls = FilterStage::walls($this->kinds->get('settlement'), $given->number('walls_m2'));
        $work = new Working();
        $air = $this->air($given, $load, $work);
        $balance = new Balance(
            $stages,
            $walls,
            $water,
            $air,
            $given->number('change_l_d') / 1000,
            $given->number('source_tan_mg_l'),
            $given->number('night_g_h'),
        );

        $settled = $balance->settle($load->tan(), $load->oxygenWithDirt($given->number('dirt_o2_g_g')));
        $limits = new SystemLimits($given);
        $loop = LoopCapacity::of($stages, $water->after($limits->tan, $settled->oxygen), Colony::B1 / Colony::MU1);
        $capacity = $balance->carries($limits->tan, $settled->oxygen);
        $hardest =
            $balance->greatest() > 0
                ? min(1.0, $balance->asItIs(1.0)->uptake($limits->tan, $settled->oxygen) / $balance->greatest())
                : 0.0;
        $colony = new Colony($balance->greatest(), $hardest, $temp);
        $share = ($given->numberOrNull('active_pct') ?? 100 * $colony->settles($load->tan())) / 100;
        $now = $balance->asItIs($share);
        // Grown denser than it can be kept fed at this ammonia, it takes no more than what lasts.
        $takes = static fn(Balance $alive): float => min($capacity, $alive->carries($limits->tan, $settled->oxygen));
        $capacityNow = $takes($now);
        $bound = static fn(string $key): float => ($given->numberOrNull($key) ?? 100 * $share) / 100;

        $grownRoom = (new Headroom($limits, $balance))->rows();
        $nowRoom = (new Headroom($limits, $now))->rows();
        $first = Headroom::first($grownRoom);
        $nitrified = $settled->nitrified ?? $load->tan();
        $this->explain($work, $given, $load, $settled, $limits, $capacity, $capacityNow, $share);
        $this->warn($work, $load, $settled, $limits, $capacity);

        return $work->result([
            'load_g_d' => $load->tan(),
            'capacity_g_d' => $capacity,
            'capacity_now_g_d' => $capacityNow,
            'capacity_now_low_g_d' => $takes($balance->asItIs(min($share, $bound('active_low_pct')))),
            'capacity_now_high_g_d' => $takes($balance->asItIs(max($share, $bound('active_high_pct')))),
            'capacity_flow_oxygen_g_d' =>
                min($loop->oxygenLimit(), $loop->transportLimit()) +
                $balance->wallsTake($water->after($limits->tan, $settled->oxygen)),
            'walls_g_d' => $balance->wallsTake($water->after($limits->tan, $settled->oxygen)),
            'spare_pct' => $capacity > 0 ? 100 * (1 - $load->tan() / $capacity) : null,
            'spare_now_pct' => $capacityNow > 0 ? 100 * (1 - $load->tan() / $capacityNow) : null,
            'limiting' => $loop->limiting()->value,
            'tan_mg_l' => $settled->tan,
            'nh3_n_mg_l' => $settled->unionised,
            'no2_n_mg_l' => $settled->nitrite,
            'do_mg_l' => $settled->oxygen,
            'no3_n_mg_l' => $limits->nitrate($nitrified),
            'nitrified_g_d' => $settled->nitrified,
            'changed_g_d' => $settled->changed,
            'alkalinity_fall_mg_l_w' => $limits->alkalinityFall($nitrified),
            'bicarbonate_g_w' =>
                ((max(0.0, $limits->alkalinityFall($nitrified)) * $given->number('volume_l')) / 1000) *
                BufferCalculator::BICARBONATE_PER_CACO3,
            'active_pct' => 100 * $share,
            'greatest_g_d' => $balance->greatest(),
            'hardest_pct' => 100 * $hardest,
            'headroom_now' => $nowRoom,
            'headroom_grown' => $grownRoom,
            'first' => $first['limit'] ?? null,
            'first_fish' => Headroom::first($grownRoom, 'kg')['limit'] ?? null,
            'steps' => $this->steps($colony, $share, $load, $first, $given),
            'stages_off' => $this->oneOff(
                $stages,
                $balance,
                $load,
                $limits,
                $settled->oxygen,
                $load->oxygenWithDirt($given->number('dirt_o2_g_g')),
            ),
        ]);
    }

    /** Aeration by its devices; where oxygen was measured, as much as holds what was measured. */
    private function air(Given $given, DailyLoad $load, Working $work): Aeration
    {
        $temp = $given->number('temp_c');
        $pressure = AirPressure::of($given)->atm;
        $air = new Aeration(
            $this->aeration->devices($given, $temp),
            $given->number('surface_m2'),
            $temp,
            $given->number('salinity_g_l'),
            $pressure,
        );
        $known = $given->numberOrNull('aeration_l_h');
        if ($known !== null) {
            return new Aeration([], 0.0, $temp, $given->number('salinity_g_l'), $pressure, $known);
        }
        $measured = $given->numberOrNull('do_mg_l');
        $demand =
            ($load->oxygenWithDirt($given->number('dirt_o2_g_g')) + $load->nitrificationOxygen()) / 24 +
            $given->number('night_g_h');
        if ($measured === null) {
            if ($air->conductance <= 0 && $demand > 0) {
                $work->danger(Message::of('filter.balance_nothing_said_bring_oxygen'));
            }

            return $air;
        }
        $needs = $air->needed($measured, $demand);
        $work->step(
            'Aeration as it must be to hold the oxygen that was measured under this load.',
            'use / (0.98 C* − DO)',
            Format::number($demand) .
                ' g/h, ' .
                Format::number($measured) .
                ' of ' .
                Format::number($air->saturation) .
                ' mg/L',
            Format::number($needs, 4) . ' L/h',
        );

        return new Aeration([], 0.0, $temp, $given->number('salinity_g_l'), $pressure, $needs);
    }

    /**
     * @param  ?array{limit: string, feed_g_d: ?float, kg: float, fish: float}  $first
     * @return list<array{day: float, load_g_d: float, feed_g_d: float}>
     */
    private function steps(Colony $colony, float $share, DailyLoad $load, ?array $first, Given $given): array
    {
        if ($first === null || $first['feed_g_d'] === null || $first['feed_g_d'] <= 0) {
            return [];
        }
        $perGram =
            (($given->number('protein_pct') / 100) * DailyLoad::TAN_PER_PROTEIN * $given->number('digestibility_pct')) /
            100 /
            DailyLoad::USUAL_DIGESTIBILITY;
        $from = $load->tan();
        $steps = $colony->steps($share, $from, $from + $first['feed_g_d'] * $perGram);

        return array_map(
            static fn(array $step): array => [
                ...$step,
                'feed_g_d' => $given->number('feed_g_d') + ($step['load_g_d'] - $from) / $perGram,
            ],
            $steps,
        );
    }

    /**
     * @param  list<FilterStage>  $stages
     * @return list<array{stage: int, kind: string, tan_mg_l: ?float, no2_n_mg_l: ?float, spare_pct: ?float}>
     */
    private function oneOff(
        array $stages,
        Balance $balance,
        DailyLoad $load,
        SystemLimits $limits,
        float $oxygen,
        float $breathed,
    ): array {
        $rows = [];
        foreach ($stages as $i => $stage) {
            if (!$stage->kind->nitrifies() || $stage->areaM2() <= 0) {
                continue;
            }
            $left = $balance->without($i);
            $settled = $left->settle($load->tan(), $breathed);
            $carries = $left->carries($limits->tan, $oxygen);
            $rows[] = [
                'stage' => $i,
                'kind' => $stage->kind->id,
                'tan_mg_l' => $settled->tan,
                'no2_n_mg_l' => $settled->nitrite,
                'spare_pct' => $carries > 0 ? 100 * (1 - $load->tan() / $carries) : null,
            ];
        }

        return $rows;
    }

    private function explain(
        Working $work,
        Given $given,
        DailyLoad $load,
        Settled $settled,
        SystemLimits $limits,
        float $capacity,
        float $capacityNow,
        float $share,
    ): void {
        $work->step(
            'What the fish give.',
            'the larger of feed and fasting floor, and what rots',
            Format::number($given->number('feed_g_d'), 4) .
                ' g/d at ' .
                Format::number($given->number('protein_pct')) .
                ' %, ' .
                Format::number($given->number('biomass_kg'), 3) .
                ' kg',
            Format::number($load->tan()) . ' g N/d',
        );
        $work->step(
            'Ammonia allowed: the stricter of total and un-ionised.',
            'min(total, un-ionised / share)',
            Format::number($given->number('tan_limit_mg_l')) .
                ', ' .
                Format::number($given->number('nh3_limit_mg_l')) .
                ' / share at pH ' .
                Format::number($given->number('ph')),
            Format::number($limits->tan) . ' mg/L',
        );
        $work->step(
            'What a grown filter would carry at that ammonia, its upkeep paid.',
            'Σ X (s − b/mu), b/mu = 0.031, with walls and changes',
            count($given->rows('stages')) . ' stages, ' . Format::number($given->number('walls_m2')) . ' m² of walls',
            Format::number($capacity) . ' g N/d',
        );
        $work->step(
            'What lives there today would take at once.',
            'share grown × X s',
            Format::number(100 * $share, 2) . ' % of the surface',
            Format::number($capacityNow) . ' g N/d',
        );
        if ($settled->tan !== null) {
            $work->step(
                'Ammonia settles where as much is taken as comes.',
                'load = uptake(C, DO) + Q (C − Cs)',
                Format::number($load->tan()) .
                    ' = ' .
                    Format::number((float) $settled->nitrified) .
                    ' + ' .
                    Format::number((float) $settled->changed) .
                    ' g N/d',
                Format::number($settled->tan) . ' mg/L',
            );
            $work->step(
                'Oxygen as it settles beside.',
                '0.98 C* − use / Σ k',
                'fish ' .
                    Format::number($load->oxygen()) .
                    ', filter ' .
                    Format::number(DailyLoad::O2_PER_N * (float) $settled->nitrified) .
                    ' g/d',
                Format::number($settled->oxygen) . ' mg/L',
            );
        }
        if ($settled->nitrite !== null) {
            $work->step(
                'Nitrite, where its oxidisers keep up.',
                'N = X (NO2/(0.5 + NO2) · DO/(1 + DO) · 1/(1 + NH3/0.5) − b/mu)',
                Format::number((float) $settled->nitrified) . ' g N/d',
                Format::number($settled->nitrite) . ' mg/L',
            );
        }
        $work->step(
            'Alkalinity that goes in a week, changes counted.',
            '3.57 × nitrified × 7 / volume − what new water brings',
            Format::number($settled->nitrified ?? $load->tan()) . ' g N/d',
            Format::number($limits->alkalinityFall($settled->nitrified ?? $load->tan())) . ' mg/L',
        );
        $work->cite(
            'timmons-ebeling',
            'floor-excretion',
            'fish-oxygen',
            'dirt-oxygen',
            'fitted-areal-rates',
            'rusten-2006',
            'model-calibrated',
            'nitrification-stoichiometry',
            'aeration-from-memory',
            'surface-reaeration',
            'cp-alkalinity-fall',
            'emerson-1975',
        );
    }

    private function warn(Working $work, DailyLoad $load, Settled $settled, SystemLimits $limits, float $capacity): void
    {
        if ($settled->tan === null) {
            $work->danger(Message::of('filter.balance_filter_cannot_take_load'));
        } elseif ($load->tan() > $capacity) {
            $work->danger(Message::of('filter.balance_ammonia_settles_above_allowed'));
        }
        if ($settled->nitrite === null && $settled->tan !== null) {
            $work->danger(Message::of('filter.balance_nitrite_oxidisers_cannot_keep'));
        }
        if ($settled->oxygen < $limits->oxygen) {
            $work->watch(Message::of('filter.balance_oxygen_settles_under_wanted'));
        }
    }
}
