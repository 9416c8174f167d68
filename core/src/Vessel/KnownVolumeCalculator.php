<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * A volume its keeper knows: from a maker, a former owner, many fills. It stands beside what can be measured.
 *
 *     known_l 9000, error_pct 10  →  low_l 8100, high_l 9900
 *
 * @source cp-known-volume
 */
final readonly class KnownVolumeCalculator implements Calculator
{
    public function name(): string
    {
        return 'volume.known';
    }

    public function title(): string
    {
        return 'A known volume';
    }

    public function inputs(): array
    {
        return [
            Input::number('known_l', 'Known volume', 'L', 0.1, 1e8),
            Input::number('error_pct', 'Known to within', '%', 0, 50)->or(10.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('volume_l', 'L'), new Output('low_l', 'L'), new Output('high_l', 'L')];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('known_l');
        $off = ($volume * $given->number('error_pct')) / 100;
        $work = new Working();
        $work->step(
            'As it is known, with what it may be off by.',
            'known ± known × error/100',
            Format::number($volume, 6) . ' ± ' . Format::number($off, 3) . ' L',
            Format::number($volume - $off, 5) . ' to ' . Format::number($volume + $off, 5) . ' L',
        );
        $work->cite('cp-known-volume');

        return $work->result(['volume_l' => $volume, 'low_l' => $volume - $off, 'high_l' => $volume + $off]);
    }
}
