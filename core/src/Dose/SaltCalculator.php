<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

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
 * Salt up to a level, in steps.
 *
 *     1,000 L from 0 to 3 g/L in three steps  →  3,000 g, 1,000 g each
 */
final readonly class SaltCalculator implements Calculator
{
    public function name(): string
    {
        return 'dose.salt';
    }

    public function title(): string
    {
        return 'Salt';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('now_g_l', 'Salt now', 'g/L', 0, 40),
            Input::number('target_g_l', 'Salt wanted', 'g/L', 0, 40),
            Input::number('steps', 'Steps', null, 1, 100)->or(3.0),
            Input::number('hours', 'Hours between them', 'h', 0, 168)->or(12.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('total_g', 'g'), new Output('step_g', 'g'), new Output('schedule')];
    }

    public function calculate(Given $given): Result
    {
        $by = $given->number('target_g_l') - $given->number('now_g_l');
        if ($by < 0) {
            throw BadInput::at('target_g_l', 'There is more than that already: only changes of water remove salt.');
        }
        if (fmod($given->number('steps'), 1.0) > 0) {
            throw BadInput::at('steps', 'Steps are counted whole.');
        }
        if ($given->number('target_g_l') > 15) {
            throw BadInput::at(
                'target_g_l',
                'Koi do not survive so much for long: above 15 g/L only as a short dip, by hand.',
            );
        }
        $total = $by * $given->number('volume_l');
        $steps = (int) $given->number('steps');
        $work = new Working();
        $work->step(
            'All of it.',
            '(wanted − now) × volume',
            Format::number($by) . ' g/L × ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($total, 5) . ' g',
        );
        $work->step(
            'In equal steps.',
            'total / steps',
            "{$steps} steps, " . Format::number($given->number('hours')) . ' h apart',
            Format::number($total / $steps, 4) . ' g',
        );
        $work->cite('cp-salt', 'dose-conflicts');
        $work->watch(Message::of('dose.salt_zeolite_first_salt_makes'));
        if ($by / $steps > 1.5) {
            $work->watch(Message::of('dose.salt_once_shock_steps'));
        }

        return $work->result([
            'total_g' => $total,
            'step_g' => $total / $steps,
            'schedule' => array_map(
                static fn(int $n): array => ['hour' => $n * $given->number('hours'), 'dose_g' => $total / $steps],
                range(0, $steps - 1),
            ),
        ]);
    }
}
