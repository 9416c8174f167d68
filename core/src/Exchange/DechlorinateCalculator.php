<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Words\Message;

/**
 * Thiosulfate for the chlorine in new water, and the ammonia that chloramine leaves.
 *
 * Two of thiosulfate take one of chlorine, to tetrathionate: 7.0 g of the pentahydrate a gram of chlorine, no
 * safety factor. Monochloramine leaves 0.1975 g of ammonia nitrogen a gram of chlorine. A conditioner is never less
 * than its label for the new water, and more where there is more chlorine than the label holds.
 *
 *     volume_l 1000, chlorine_mg_l 0.6, kind chloramine  →  thiosulfate_g 4.20, tan_released_mg_l 0.119
 *
 * @source thiosulfate-stoichiometry
 */
final readonly class DechlorinateCalculator implements Calculator
{
    public function name(): string
    {
        return 'exchange.dechlorinate';
    }

    public function title(): string
    {
        return 'Making new water safe from chlorine';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'New water', 'L', 0.1, 1e8),
            Input::number('chlorine_mg_l', 'Chlorine in all', 'mg/L as Cl₂', 0, 20),
            Input::choice('kind', 'It is', ['free', 'chloramine']),
            Input::number('label_ml', 'Conditioner by its label', 'mL', 0.001, 10000)->optional(),
            Input::number('label_treats_l', 'treats so much water', 'L', 0.1, 1e7)->optional(),
            Input::number('label_chlorine_mg_l', 'holding so much chlorine', 'mg/L', 0.01, 20)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('thiosulfate_g', 'g'),
            new Output('tan_released_mg_l', 'mg/L as N'),
            new Output('conditioner_ml', 'mL'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $chlorine = $given->number('chlorine_mg_l');
        $grams = ($chlorine * $given->number('volume_l')) / 1000;
        $pentahydrate = 2 * MolarMass::NA + 2 * MolarMass::S + 3 * MolarMass::O + 5 * MolarMass::H2O;
        $thiosulfate = ($grams * 2 * $pentahydrate) / (2 * MolarMass::CL);
        $released = $given->text('kind') === 'chloramine' ? ($chlorine * MolarMass::N) / (2 * MolarMass::CL) : 0.0;
        $label = [$given->numberOrNull('label_ml'), $given->numberOrNull('label_treats_l')];
        $strength = $given->numberOrNull('label_chlorine_mg_l');
        $conditioner =
            $label[0] === null || $label[1] === null
                ? null
                : (($label[0] * $given->number('volume_l')) / $label[1]) *
                    ($strength === null ? 1.0 : max(1.0, $chlorine / $strength));
        $work = new Working();
        $work->step(
            'Chlorine in the new water.',
            'mg/L × L / 1000',
            Format::number($chlorine) . ' mg/L, ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($grams) . ' g',
        );
        $work->step(
            'Sodium thiosulfate pentahydrate for it, two to one.',
            '2 × 248.18 / 70.906',
            Format::number((2 * $pentahydrate) / (2 * MolarMass::CL)) . ' g a gram',
            Format::number($thiosulfate) . ' g',
        );
        if ($released > 0) {
            $work->step(
                'Ammonia that chloramine leaves behind.',
                '14.007 / 70.906',
                Format::number($chlorine) . ' mg/L',
                Format::number($released, 3) . ' mg/L as N',
            );
            $work->watch(Message::of('exchange.dechlorinate_chloramine_does_gas_off'));
        }
        $work->note(Message::of('exchange.dechlorinate_safety_factor_test_water'));
        $work->cite('thiosulfate-stoichiometry', 'iupac-2007');

        return $work->result([
            'thiosulfate_g' => $thiosulfate,
            'tan_released_mg_l' => $released,
            'conditioner_ml' => $conditioner,
        ]);
    }
}
