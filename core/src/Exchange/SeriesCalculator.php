<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * Several equal changes one after another: two of 25 % are 43.75 %, not 50.
 *
 *     volume_l 1000, change_pct 25, changes 2, now {"no3_n_mg_l": 10}, source {"no3_n_mg_l": 2}  →  exchanged_pct
 *       43.75, after.no3_n_mg_l 6.5
 *
 * @see WaterMix
 */
final readonly class SeriesCalculator implements Calculator
{
    public function name(): string
    {
        return 'exchange.series';
    }

    public function title(): string
    {
        return 'Several changes of water';
    }

    public function inputs(): array
    {
        return [...ChangeInputs::inputs(), Input::number('changes', 'Changes', null, 1, 1000)];
    }

    public function outputs(): array
    {
        return [new Output('after'), new Output('exchanged_pct', '%')];
    }

    public function calculate(Given $given): Result
    {
        $share = ChangeInputs::share($given);
        $times = $given->number('changes');
        if (fmod($times, 1.0) > 0) {
            throw BadInput::at('changes', 'Changes are counted whole.');
        }
        [$now, $source] = WaterMix::pair($given);
        $exchanged = 1 - (1 - $share) ** $times;
        $after = $now->with($source, $exchanged);
        $work = new Working();
        $work->step(
            'Each change takes its part of what the last one left.',
            '1 − (1 − x)^n',
            'x = ' . Format::number($share) . ', n = ' . Format::number($times),
            Format::number(100 * $exchanged, 4) . ' %, not ' . Format::number(100 * $share * $times, 4),
        );
        ChangeInputs::warn($work, $now, $source, $now->with($source, $share));

        return $work->result(['after' => $after->figures(), 'exchanged_pct' => 100 * $exchanged]);
    }
}
