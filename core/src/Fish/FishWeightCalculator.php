<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Weight of a koi from its total length, by Fulton's condition factor.
 *
 *     length_cm 50  →  weight_g 1875
 *
 * @see Condition for validity and sources
 */
final readonly class FishWeightCalculator implements Calculator
{
    public function name(): string
    {
        return 'fish.weight';
    }

    public function title(): string
    {
        return 'Weight of a fish from its length';
    }

    public function inputs(): array
    {
        return [
            Input::number('length_cm', 'Total length', 'cm', 0.5, 130),
            Input::number('condition', 'Condition factor', 'g·100/cm³', 0.5, 3)->or(Condition::USUAL),
        ];
    }

    public function outputs(): array
    {
        return [new Output('weight_g', 'g')];
    }

    public function calculate(Given $given): Result
    {
        $length = $given->number('length_cm');
        $condition = $given->number('condition');
        $weight = Condition::weight($length, $condition);

        $work = new Working();
        $work->step(
            'A fish grows in three directions at once.',
            'weight = condition × length³ / 100',
            Format::number($condition) . ' × ' . Format::number($length) . '³ / 100',
            Format::number($weight) . ' g',
        );
        $work->cite('fulton-condition', 'carp-condition');
        if ($condition < Condition::LEAN || $condition > Condition::STOUT) {
            $work->note(
                Message::of('fish.weight_carp_usually_between_weigh', [
                    'lean' => Condition::LEAN,
                    'stout' => Condition::STOUT,
                ]),
            );
        }

        return $work->result(['weight_g' => $weight]);
    }
}
