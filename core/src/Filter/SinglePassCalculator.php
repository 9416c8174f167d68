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
use Ironwort\Core\Words\Message;

/**
 * What a filter really takes, from ammonia before it and after it.
 *
 * mg/L as N, flow in L/h. An outlet above the inlet is a filter that gives ammonia off: removal is negative.
 *
 *     flow_l_h 8000, in_mg_l 0.3, out_mg_l 0.24  →  removal_g_d 11.5, efficiency_pct 20
 */
final readonly class SinglePassCalculator implements Calculator
{
    public function name(): string
    {
        return 'filter.single_pass';
    }

    public function title(): string
    {
        return 'What a filter takes, measured';
    }

    public function inputs(): array
    {
        return [
            Input::number('flow_l_h', 'Flow', 'L/h', 1, 1e8),
            Input::number('in_mg_l', 'Ammonia before it', 'mg/L as N', 0, 1000),
            Input::number('out_mg_l', 'Ammonia after it', 'mg/L as N', 0, 1000),
        ];
    }

    public function outputs(): array
    {
        return [new Output('removal_g_d', 'g N/d'), new Output('efficiency_pct', '%')];
    }

    public function calculate(Given $given): Result
    {
        $in = $given->number('in_mg_l');
        $out = $given->number('out_mg_l');
        $removal = (($given->number('flow_l_h') * 24) / 1000) * ($in - $out);

        $work = new Working();
        $work->step(
            'What stays in the filter.',
            'flow × (in − out) × 24',
            Format::number($given->number('flow_l_h'), 5) .
                ' L/h × (' .
                Format::number($in) .
                ' − ' .
                Format::number($out) .
                ') mg/L',
            Format::number($removal) . ' g N/d',
        );
        $work->cite('mass-balance');
        if ($in <= 0) {
            $work->note(Message::of('filter.single_pass_without_ammonia_coming_nothing'));
        } elseif ($out > $in) {
            $work->watch(Message::of('filter.single_pass_comes_goes_dirt_rots'));
        }

        return $work->result([
            'removal_g_d' => $removal,
            'efficiency_pct' => $in > 0 ? (100 * ($in - $out)) / $in : null,
        ]);
    }
}
