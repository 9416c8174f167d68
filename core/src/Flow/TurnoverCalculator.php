<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * How often the whole volume passes in an hour, and how much of it really has by then.
 *
 * What comes back mixes with what is there, so after one turnover 1 − 1/e of the water has been
 * through, not all of it.
 *
 *     volume_l 9000, flow_l_h 8200  →  turnovers_per_h 0.911, passed_in_one_turnover_pct 63.2
 *
 * @source mixed-tank
 */
final readonly class TurnoverCalculator implements Calculator
{
    public function name(): string
    {
        return 'flow.turnover';
    }

    public function title(): string
    {
        return 'Turnover';
    }

    public function inputs(): array
    {
        return [Input::number('volume_l', 'Volume', 'L', 1, 1e8), Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e8)];
    }

    public function outputs(): array
    {
        return [
            new Output('turnovers_per_h', '1/h'),
            new Output('minutes', 'min'),
            new Output('passed_in_one_turnover_pct', '%'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $flow = $given->number('flow_l_h');
        $turnovers = $flow / $volume;

        $work = new Working();
        $work->step(
            'How often the volume passes.',
            'flow / volume',
            Format::number($flow) . ' L/h / ' . Format::number($volume) . ' L',
            Format::number($turnovers) . ' times an hour',
        );
        $work->note(Message::of('flow.turnover_after_turnover_63_water'));
        $work->cite('mixed-tank');

        return $work->result([
            'turnovers_per_h' => $turnovers,
            'minutes' => $flow > 0 ? 60 / $turnovers : null,
            'passed_in_one_turnover_pct' => 100 * (1 - exp(-1)),
        ]);
    }
}
