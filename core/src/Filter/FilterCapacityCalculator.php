<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * How much ammonia the filter of a loop can take in a day, and what holds it back.
 *
 *     temp_c 20, ph 7.6, do_in_mg_l 7, tan_mg_l 0.3, alkalinity_mg_l 110, stages [{"kind": "matting", "medium":
 *       "coarse_matting", "media_l": 60, "flow_l_h": 3000}]  →  total_g_d 0.778, limiting surface
 *
 * @see ArealRate, StageCapacity, LoopCapacity for formulas, validity and sources
 */
final readonly class FilterCapacityCalculator implements Calculator
{
    public function __construct(private MediaTable $media, private StageRows $rows) {}

    public function name(): string
    {
        return 'filter.capacity';
    }

    public function title(): string
    {
        return 'Biofilter capacity';
    }

    public function inputs(): array
    {
        return [
            WaterInputs::temperature(),
            WaterInputs::ph(),
            Input::number('do_in_mg_l', 'Oxygen into the filter', 'mg/L', 0, 30),
            WaterInputs::tan(),
            WaterInputs::alkalinity(),
            WaterInputs::salinity(),
            $this->rows->input(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('stages'),
            new Output('total_g_d', 'g N/d'),
            new Output('surface_limit_g_d', 'g N/d'),
            new Output('oxygen_limit_g_d', 'g N/d'),
            new Output('transport_limit_g_d', 'g N/d'),
            new Output('limiting'),
            new Output('tan_out_mg_l', 'mg/L as N'),
            new Output('flow_l_h', 'L/h'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $water = new StageInflow(
            $given->number('tan_mg_l'),
            $given->number('do_in_mg_l'),
            $given->number('temp_c'),
            $given->number('ph'),
            $given->number('alkalinity_mg_l'),
            $given->number('salinity_g_l'),
        );
        $loop = LoopCapacity::of($this->rows->read($given), $water);

        $work = new Working();
        foreach ($loop->stages as $i => $stage) {
            $this->explain($work, $i + 1, $stage);
        }
        $work->step(
            'The whole loop by surface, all stages together.',
            'Σ surface limits',
            count($loop->stages) . ' stages',
            Format::number($loop->surfaceLimit()) . ' g N/d',
        );
        $work->step(
            'The whole loop by oxygen, each gram counted once.',
            '(flow × (DO − 2) + Σ taken in) / 4.57',
            Format::number($loop->flowM3D) . ' m³/d × (' . Format::number($water->oxygen) . ' − 2) mg/L',
            Format::number($loop->oxygenLimit()) . ' g N/d',
        );
        $work->step(
            'All stages together; the flow cannot bring more than flow × TAN.',
            'total = Σ capacity ≤ flow × TAN',
            'flow × TAN = ' .
                Format::number($loop->flowM3D) .
                ' m³/d × ' .
                Format::number($water->tan) .
                ' mg/L = ' .
                Format::number($loop->transportLimit()) .
                ' g N/d',
            Format::number($loop->total()) . ' g N/d',
        );
        $this->caution($work, $water, $loop);
        $work->cite(
            'rusten-2006',
            'fitted-areal-rates',
            'downing-1964',
            'malone-beecher-2000',
            'nitrification-stoichiometry',
            'aeration-from-memory',
        );
        foreach ($given->rows('stages') as $stage) {
            if ($stage->has('medium')) {
                $work->cite($this->media->get($stage->text('medium'))->source);
            }
        }

        return $work->result([
            'stages' => array_map(self::figures(...), $loop->stages),
            'total_g_d' => $loop->total(),
            'surface_limit_g_d' => $loop->surfaceLimit(),
            'oxygen_limit_g_d' => $loop->oxygenLimit(),
            'transport_limit_g_d' => $loop->transportLimit(),
            'limiting' => $loop->limiting()->value,
            'tan_out_mg_l' => $loop->outlet->tan,
            'flow_l_h' => ($loop->flowM3D * 1000) / 24,
        ]);
    }

    /** @return array<string, float|string|null> */
    private static function figures(StageCapacity $stage): array
    {
        return [
            'kind' => $stage->stage->kind->id,
            'branch' => $stage->stage->branch,
            'area_m2' => $stage->stage->areaM2(),
            'area_rate_g_m2_d' => $stage->arealRate(),
            'surface_limit_g_d' => $stage->surfaceLimit,
            'oxygen_limit_g_d' => $stage->oxygenLimit,
            'transport_limit_g_d' => $stage->transportLimit,
            'capacity_g_d' => $stage->capacity(),
            'limiting' => $stage->limiting()->value,
            'tan_in_mg_l' => $stage->inlet->tan,
            'tan_out_mg_l' => $stage->outlet()->tan,
            'do_out_mg_l' => $stage->outlet()->oxygen,
        ];
    }

    private function explain(Working $work, int $n, StageCapacity $capacity): void
    {
        $stage = $capacity->stage;
        $rate = $capacity->rate;
        $name = "Stage {$n}, " . lcfirst($stage->kind->name);
        if (!$stage->kind->nitrifies()) {
            $work->step(
                "{$name}: carries no nitrifiers worth counting.",
                'capacity = 0',
                $stage->kind->name,
                '0 g N/d',
            );

            return;
        }
        $work->step(
            "{$name}: surface of the medium.",
            'A = media × m²/m³ / 1000',
            Format::number($stage->mediaL) . ' L × ' . Format::number($stage->areaM2M3) . ' m²/m³',
            Format::number($stage->areaM2()) . ' m²',
        );
        $work->step(
            "{$name}: the most a square metre takes in this water.",
            'r20 × 1.09^(t − 20) × f(DO) × f(pH) × f(alkalinity) × maturity × (1 − fouling)',
            Format::number($rate->r20) .
                ' × ' .
                Format::number($rate->temperature) .
                ' × ' .
                Format::number($rate->oxygen) .
                ' × ' .
                Format::number($rate->ph) .
                ' × ' .
                Format::number($rate->alkalinity) .
                ' × ' .
                Format::number($rate->grown),
            Format::number($rate->ceiling()) . ' g N/m²/d',
        );
        $carrier = is_finite($rate->counted)
            ? ', C counted up to DO/3.2 = ' . Format::number($rate->counted) . ' mg/L'
            : '';
        $work->step(
            "{$name}: surface limit, at the TAN the water leaves with.",
            'Q (Cin − C) = r C/(K + C) A',
            'Q = ' .
                Format::number($stage->flowM3D()) .
                ' m³/d, Cin = ' .
                Format::number($capacity->inlet->tan) .
                ' mg/L, K = ' .
                Format::number($rate->k) .
                ' mg/L' .
                $carrier,
            Format::number($capacity->surfaceLimit) . ' g N/d',
        );
        $transferred =
            $capacity->transferredOxygen > 0
                ? ', and ' . Format::number($capacity->transferredOxygen) . ' g O₂/d taken in inside the stage'
                : '';
        $work->step(
            "{$name}: oxygen limit, leaving 2 mg/L in the water.",
            '(flow × (DO − 2) + taken in) / 4.57',
            Format::number($stage->flowM3D()) .
                ' m³/d × (' .
                Format::number($capacity->inlet->oxygen) .
                ' − 2) mg/L' .
                $transferred,
            Format::number($capacity->oxygenLimit) . ' g N/d',
        );
        $work->step(
            "{$name}: transport limit, all the flow brings.",
            'flow × TAN',
            Format::number($stage->flowM3D()) . ' m³/d × ' . Format::number($capacity->inlet->tan) . ' mg/L',
            Format::number($capacity->transportLimit) . ' g N/d',
        );
        $work->step(
            "{$name}: the least of the three holds.",
            'min(surface, oxygen, transport)',
            $capacity->limiting()->value,
            Format::number($capacity->capacity()) . ' g N/d',
        );
    }

    private function caution(Working $work, StageInflow $water, LoopCapacity $loop): void
    {
        $work->note(Message::of('filter.capacity_constants_surface_limit_fitted'));
        if ($water->oxygen < 2) {
            $work->danger(Message::of('filter.capacity_less_mg_oxygen_water'));
        }
        if ($water->tempC > 32) {
            $work->note(Message::of('filter.capacity_above_32_gain_warmth'));
        }
        if ($water->salinityGL > 5) {
            $work->watch(Message::of('filter.capacity_rise_salt_past_about'));
        }
        foreach ($loop->stages as $i => $stage) {
            $n = $i + 1;
            if ($stage->stage->airLMin > 0 && $stage->stage->kind->transfer !== Transfer::Air) {
                $work->note(Message::of('filter.capacity_air_given_stage_counted', ['n' => $n]));
            }
            if ($stage->stage->branch === null && $stage->stage->flowM3D() < $loop->flowM3D * 0.999) {
                $work->note(Message::of('filter.capacity_stage_takes_part_loops', ['n' => $n]));
            }
        }
    }
}
