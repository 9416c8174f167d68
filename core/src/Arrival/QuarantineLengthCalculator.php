<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

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
 * How much longer a quarantine lasts: the keeper's own days, or one life cycle of what is looked for in water so warm,
 * whichever is longer; from the day the last fish came, since a new fish starts it again.
 *
 *     temp_c 20  →  days 21, limiting protocol
 *
 * @source cp-quarantine  @source life-cycles-from-memory
 */
final readonly class QuarantineLengthCalculator implements Calculator
{
    /** @param  array<string, LifeCycle>  $cycles  by id */
    public function __construct(private array $cycles) {}

    public function name(): string
    {
        return 'quarantine.length';
    }

    public function title(): string
    {
        return 'How long a quarantine lasts';
    }

    public function inputs(): array
    {
        return [
            WaterInputs::temperature(),
            Input::number('protocol_days', 'By the keeper’s protocol', 'days', 0, 365)->or(21.0),
            Input::choice('life_cycle', 'Looked for', array_keys($this->cycles))->or('none'),
            Input::number('days_since_last_arrival', 'Since the last fish came', 'days', 0, 3650)->or(0.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('days', 'd'),
            new Output('days_left', 'd'),
            new Output('limiting'),
            new Output('cycle_days', 'd'),
            new Output('shows'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $own = $given->number('protocol_days');
        $cycle = $this->cycles[$given->text('life_cycle')];
        $days = $cycle->days($temp);
        $whole = max($own, ceil(($days ?? 0.0) - 1e-9));
        $since = $given->number('days_since_last_arrival');
        $left = max(0.0, $whole - $since);
        $work = new Working();
        if ($days !== null) {
            $work->step(
                'One life cycle in water so warm.',
                'by its table',
                "{$cycle->name}, " . Format::number($temp) . ' °C',
                Format::number($days, 3) . ' days',
            );
        }
        $work->step(
            'The longer of both, from the day the last fish came.',
            'max(protocol, cycle) − since',
            Format::number($own) . ' days, ' . Format::number($since) . ' since',
            Format::number($left) . ' days',
        );
        $work->cite('cp-quarantine', ...$days === null ? [] : ['life-cycles-from-memory']);
        if (!$cycle->shows($temp)) {
            $work->danger(
                Message::of('arrival.does_not_show', [
                    'name' => $cycle->name,
                    'from' => Format::number((float) $cycle->holdsFromC),
                    'to' => Format::number((float) $cycle->holdsToC),
                ]),
            );
        }
        $work->note(Message::of('arrival.starts_again'));

        return $work->result([
            'days' => $whole,
            'days_left' => $left,
            'limiting' => $days !== null && $days > $own ? 'life_cycle' : 'protocol',
            'cycle_days' => $days,
            'shows' => $cycle->shows($temp),
        ]);
    }
}
