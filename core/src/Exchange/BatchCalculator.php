<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * What one change of water leaves: drain first, then refill.
 *
 *     nitrate 20, new water 5, half changed  →  12.5
 *
 * @see WaterMix
 */
final readonly class BatchCalculator implements Calculator
{
    public function name(): string
    {
        return 'exchange.batch';
    }

    public function title(): string
    {
        return 'One change of water';
    }

    public function inputs(): array
    {
        return ChangeInputs::inputs();
    }

    public function outputs(): array
    {
        return [new Output('after'), new Output('change_l', 'L'), new Output('change_pct', '%')];
    }

    public function calculate(Given $given): Result
    {
        $share = ChangeInputs::share($given);
        [$now, $source] = WaterMix::pair($given);
        $after = $now->with($source, $share);
        $work = new Working();
        $work->step(
            'Drained first, then filled again.',
            'after = now (1 − x) + new x',
            'x = ' . Format::number($share),
            Format::number(100 * $share, 3) . ' % changed',
        );
        ChangeInputs::warn($work, $now, $source, $after);

        return $work->result([
            'after' => $after->figures(),
            'change_l' => $share * $given->number('volume_l'),
            'change_pct' => 100 * $share,
        ]);
    }
}
