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
 * What lives still in a filter that was wet and aired and got no ammonia.
 *
 *     days 28, temp_c 20  →  left_pct 24.7, left_low_pct 1.5, left_high_pct 65.7
 *     days 56, temp_c 10  →  left_pct 30.6
 *
 * @see Idle
 *
 * @source manser-2006
 */
final readonly class IdleCalculator implements Calculator
{
    public function name(): string
    {
        return 'filter.idle';
    }

    public function title(): string
    {
        return 'A filter without ammonia';
    }

    public function inputs(): array
    {
        return [Input::number('days', 'Days without ammonia', 'd', 0, 3650), WaterInputs::temperature()];
    }

    public function outputs(): array
    {
        return [new Output('left_pct', '%'), new Output('left_low_pct', '%'), new Output('left_high_pct', '%')];
    }

    public function calculate(Given $given): Result
    {
        $days = $given->number('days');
        $temp = $given->number('temp_c');
        $left = Idle::left($days, $temp);
        $work = new Working();
        $work->step(
            'What starves dies by a share each day, the faster the warmer.',
            'e^(−b · 1.09^(min(T, 32) − 20) · days)',
            Format::number($days) . ' days at ' . Format::number($temp) . ' °C, b 0.05 a day (0.015 to 0.15)',
            Format::number(100 * $left->value, 3) .
                ' % (' .
                Format::number(100 * $left->low, 2) .
                ' to ' .
                Format::number(100 * $left->high, 3) .
                ')',
        );
        $work->cite('manser-2006', 'rusten-2006');
        $work->note(Message::of('filter.idle_wet_and_aired'));
        if (100 * $left->value < Idle::NEW_START_PCT) {
            $work->watch(Message::of('filter.idle_new_start'));
        }

        return $work->result([
            'left_pct' => 100 * $left->value,
            'left_low_pct' => 100 * $left->low,
            'left_high_pct' => 100 * $left->high,
        ]);
    }
}
