<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Aeration\Aeration;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;

/**
 * What all the surface of a system takes when it is grown and short of nothing, and how much of that this water lets
 * it reach where ammonia stands as high as it must: the frame in which a filter's past is followed.
 *
 *     temp_c 18, ph 7.5, alkalinity_mg_l 90, do_mg_l 8, walls_m2 20, stages [{"kind": "moving_bed", "medium":
 *       "moving_carrier", "media_l": 200, "flow_l_h": 8000, "air_l_min": 50}]  →  greatest_g_d 38.7, flat_out_pct 61.6
 *
 * @see ArealRate for formulas, validity and sources
 */
final readonly class ReachCalculator implements Calculator
{
    /** Ammonia at which no surface is short of it, mg/L as N. */
    private const PLENTY_MG_L = 50.0;

    public function __construct(private StageRows $rows, private StageKinds $kinds) {}

    public function name(): string
    {
        return 'filter.reach';
    }

    public function title(): string
    {
        return 'The most a grown surface takes';
    }

    public function inputs(): array
    {
        return [
            WaterInputs::temperature(),
            WaterInputs::ph(),
            WaterInputs::alkalinity(),
            WaterInputs::salinity(),
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 30),
            Input::number('walls_m2', 'Walls and stones', 'm²', 0, 1e6)->or(0.0),
            $this->rows->input(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('greatest_g_d', 'g N/d'),
            new Output('flat_out_pct', '%'),
            new Output('stages_g_d', 'g N/d'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $walls = FilterStage::walls($this->kinds->get('settlement'), $given->number('walls_m2'));
        $water = StageInflow::from($given);
        $stages = $this->rows->read($given);
        $balance = new Balance($stages, $walls, $water, new Aeration([], 0.0, $temp));
        $greatest = $balance->greatest();
        $flatOut =
            $greatest > 0
                ? min(1.0, $balance->asItIs(1.0)->uptake(self::PLENTY_MG_L, $given->number('do_mg_l')) / $greatest)
                : 0.0;
        $work = new Working();
        $work->step(
            'All surface, grown and clean, with nothing short.',
            'Σ area × r20 × 1.09^(t − 20)',
            Format::number($temp) . ' °C',
            Format::number($greatest) . ' g N/d',
        );
        $work->step(
            'What oxygen, pH, alkalinity and flow leave of it, however high ammonia stands.',
            'uptake / greatest',
            Format::number($given->number('do_mg_l')) . ' mg/L of oxygen',
            Format::number(100 * $flatOut, 3) . ' %',
        );
        $work->cite('fitted-areal-rates', 'rusten-2006', 'downing-1964');

        return $work->result([
            'greatest_g_d' => $greatest,
            'flat_out_pct' => 100 * $flatOut,
            'stages_g_d' => array_map(static fn(FilterStage $stage): float => $stage->grownGD($temp), $stages),
        ]);
    }
}
