<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * Volume from a water meter read before and after filling.
 *
 *     meter_before_l 4210, meter_after_l 13110, already_l 90  →  volume_l 8990
 *
 * @source cp-meter-error
 */
final readonly class VolumeByMeterCalculator implements Calculator
{
    public function name(): string
    {
        return 'volume.by_meter';
    }

    public function title(): string
    {
        return 'Volume by the water meter';
    }

    public function inputs(): array
    {
        return [
            Input::number('meter_before_l', 'Meter before', 'L', 0, 1e10),
            Input::number('meter_after_l', 'Meter after', 'L', 0, 1e10),
            Input::number('already_l', 'Already in it', 'L', 0, 1e8)->or(0.0),
            Input::number('elsewhere_l', 'Drawn for something else meanwhile', 'L', 0, 1e8)->or(0.0),
            Input::number('error_pct', 'Error of the meter', '%', 0, 20)->or(2.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('volume_l', 'L'), new Output('low_l', 'L'), new Output('high_l', 'L')];
    }

    public function calculate(Given $given): Result
    {
        $metered = $given->number('meter_after_l') - $given->number('meter_before_l') - $given->number('elsewhere_l');
        if ($metered <= 0) {
            throw BadInput::at(
                'meter_after_l',
                'Nothing ran in: the meter after, less what went elsewhere, must be above the meter before.',
            );
        }
        $already = $given->number('already_l');
        $error = ($metered * $given->number('error_pct')) / 100;

        $work = new Working();
        $work->step(
            'What ran in, and what was there.',
            'after − before − elsewhere + already',
            Format::number($metered, 6) . ' + ' . Format::number($already, 6) . ' L',
            Format::number($metered + $already, 6) . ' L',
        );
        $work->step(
            'What the meter may be off by.',
            '± error × metered',
            Format::number($given->number('error_pct')) . ' %',
            '± ' . Format::number($error) . ' L',
        );
        $work->cite('cp-meter-error');

        return $work->result([
            'volume_l' => $metered + $already,
            'low_l' => $metered - $error + $already,
            'high_l' => $metered + $error + $already,
        ]);
    }
}
