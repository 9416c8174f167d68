<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * A binder by the label of what stands on the shelf, for the ammonia that is there; never more than three labels.
 *
 *     volume_l 1000, tan_mg_l 0.5, label_ml 10, label_treats_l 200, label_binds_mg_l 1  →  dose_ml 25
 *     volume_l 1000, tan_mg_l 8, label_ml 10, label_treats_l 200, label_binds_mg_l 1  →  dose_ml 150, binds_mg_l 3
 */
final readonly class BinderCalculator implements Calculator
{
    /** So many times its label and no more. Common practice, no source. */
    private const MOST_LABELS = 3.0;

    public function name(): string
    {
        return 'dose.binder';
    }

    public function title(): string
    {
        return 'Binder';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 100),
            Input::number('label_ml', 'By its label', 'mL', 0.001, 100000),
            Input::number('label_treats_l', 'treats', 'L', 0.1, 1e7),
            Input::number('label_binds_mg_l', 'and binds', 'mg/L as N', 0.01, 100),
            Input::number('cap_ml', 'A cap holds', 'mL', 0.1, 1000)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('dose_ml', 'mL'), new Output('caps'), new Output('binds_mg_l', 'mg/L as N')];
    }

    public function calculate(Given $given): Result
    {
        $binds = min($given->number('tan_mg_l'), self::MOST_LABELS * $given->number('label_binds_mg_l'));
        $dose =
            ((($given->number('label_ml') * $given->number('volume_l')) / $given->number('label_treats_l')) * $binds) /
            $given->number('label_binds_mg_l');
        $cap = $given->numberOrNull('cap_ml');
        $work = new Working();
        $work->step(
            'By the label, as far as there is ammonia.',
            'label × volume / treats × TAN / binds',
            Format::number($given->number('label_ml')) .
                ' mL for ' .
                Format::number($given->number('label_treats_l')) .
                ' L, ' .
                Format::number($binds) .
                ' of ' .
                Format::number($given->number('label_binds_mg_l')) .
                ' mg/L',
            Format::number($dose, 4) . ' mL',
        );
        $work->cite('cp-binder');
        if ($binds < $given->number('tan_mg_l')) {
            $work->danger(
                Message::of('dose.binder_three_labels', [
                    'binds' => Format::number($binds, 2),
                    'tan' => Format::number($given->number('tan_mg_l'), 2),
                ]),
            );
        }
        if ($given->number('tan_mg_l') >= 2) {
            $work->danger(Message::of('dose.binder_level_binder_swamped_change'));
        }
        $work->note(Message::of('dose.binder_holds_ammonia_day_two'));

        return $work->result([
            'dose_ml' => $dose,
            'caps' => $cap === null ? null : $dose / $cap,
            'binds_mg_l' => $binds,
        ]);
    }
}
