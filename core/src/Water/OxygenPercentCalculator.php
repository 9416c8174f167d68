<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * An oxygen reading as percent of saturation, or percent of saturation as mg/L.
 *
 *     do_mg_l 8, temp_c 20  →  sat_pct 88.0
 *
 * @see Oxygen for formula, validity and sources
 */
final readonly class OxygenPercentCalculator implements Calculator
{
    public function name(): string
    {
        return 'oxygen.percent';
    }

    public function title(): string
    {
        return 'Oxygen in percent of saturation';
    }

    public function inputs(): array
    {
        return [
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 60)->optional(),
            Input::number('sat_pct', 'Saturation', '%', 0, 400)->insteadOf('do_mg_l'),
            WaterInputs::temperature(),
            WaterInputs::salinity(),
            ...AirPressure::inputs(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('do_mg_l', 'mg/L'), new Output('sat_pct', '%'), new Output('do_sat_mg_l', 'mg/L')];
    }

    public function calculate(Given $given): Result
    {
        $reading = $given->numberOrNull('do_mg_l');
        $percent = $given->numberOrNull('sat_pct');
        if ($reading === null && $percent === null) {
            throw BadInput::at('do_mg_l', 'Oxygen is needed, in mg/L or in percent of saturation.');
        }

        $work = new Working();
        $saturation = OxygenSaturationCalculator::work($work, $given);
        if ($reading !== null) {
            $percent = (100 * $reading) / $saturation;
            $work->step(
                'The reading as a share of that.',
                '% = 100 × DO / C',
                Format::number($reading) . ' / ' . Format::number($saturation) . ' mg/L',
                Format::number($percent) . ' %',
            );
        } else {
            $reading = ($percent * $saturation) / 100;
            $work->step(
                'That share of saturation in mg/L.',
                'DO = % × C / 100',
                Format::number((float) $percent) . ' % of ' . Format::number($saturation) . ' mg/L',
                Format::number($reading) . ' mg/L',
            );
        }
        if ($percent > 150) {
            $work->watch(Message::of('water.oxygen_percent_above_150_rare_outside'));
        }

        return $work->result(['do_mg_l' => $reading, 'sat_pct' => $percent, 'do_sat_mg_l' => $saturation]);
    }
}
