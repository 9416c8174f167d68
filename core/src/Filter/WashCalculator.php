<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

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
 * What a wash, a stop or new media cost a filter.
 *
 *     kind hosed_chlorinated, share_pct 50  →  lost_pct 30, low 15, high 45
 *     kind stood_closed, hours 6  →  lost_pct 90, low 60, high 98
 *
 * @see Deed
 *
 * @source wash-from-memory
 */
final readonly class WashCalculator implements Calculator
{
    public function name(): string
    {
        return 'service.wash';
    }

    public function title(): string
    {
        return 'What it cost the filter';
    }

    public function inputs(): array
    {
        return [
            Input::choice(
                'kind',
                'What was done',
                array_map(static fn(Deed $deed): string => $deed->value, Deed::cases()),
            ),
            Input::number('hours', 'Hours it stood or lay dry', 'h', 0, 8784)->optional(),
            Input::number('share_pct', 'Share of the media', '%', 0, 100)->or(100.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('lost_pct', '%'), new Output('low', '%'), new Output('high', '%')];
    }

    public function calculate(Given $given): Result
    {
        $deed = Deed::from($given->text('kind'));
        $hours = $given->numberOrNull('hours');
        if ($deed->byHours() && $hours === null) {
            throw BadInput::at('hours', Message::of('filter.wash_hours')->text, ['filter.wash_hours']);
        }
        $share = $given->number('share_pct');
        $costs = $deed->costs($hours ?? 0.0, $share / 100);
        $work = new Working();
        $work->step(
            'The share that dies, by what was done.',
            'table · share of the media',
            $deed->name() .
                ($deed->byHours() ? ', ' . Format::number($hours ?? 0.0) . ' h' : '') .
                ', ' .
                Format::number($share) .
                ' % of the media',
            Format::number($costs['lost'], 3) .
                ' % (' .
                Format::number($costs['low'], 2) .
                ' to ' .
                Format::number($costs['high'], 3) .
                ')',
        );
        $work->cite('wash-from-memory');
        if (AfterSetback::counts($costs['lost'])) {
            $work->watch(Message::of('filter.wash_tests'));
        }

        return $work->result(['lost_pct' => $costs['lost'], 'low' => $costs['low'], 'high' => $costs['high']]);
    }
}
