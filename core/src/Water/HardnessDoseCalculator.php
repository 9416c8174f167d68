<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\BadInput;
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
 * Raising hardness with minerals, in grams.
 *
 *     volume_l 1000, hardness_mg_l 100, target_hardness_mg_l 200, agent calcium_chloride_dihydrate  →  dose_g 146.9
 */
final readonly class HardnessDoseCalculator implements Calculator
{
    public function name(): string
    {
        return 'hardness.dose';
    }

    public function title(): string
    {
        return 'Raising GH';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('hardness_mg_l', 'Hardness', 'mg/L as CaCO₃', 0, 2000),
            Input::number('target_hardness_mg_l', 'Hardness wanted', 'mg/L as CaCO₃', 0, 2000),
            Input::choice('agent', 'With', array_keys(self::masses())),
        ];
    }

    public function outputs(): array
    {
        return [new Output('dose_g', 'g')];
    }

    public function calculate(Given $given): Result
    {
        $by = $given->number('target_hardness_mg_l') - $given->number('hardness_mg_l');
        if ($by < 0) {
            throw BadInput::at(
                'target_hardness_mg_l',
                'There is more than that already: only changes with softer water bring it down.',
            );
        }
        $factor = self::masses()[$given->text('agent')] / MolarMass::CACO3;
        $dose = (($by * $given->number('volume_l')) / 1000) * $factor;
        $work = new Working();
        $work->step(
            'Grams of the salt for so much hardness.',
            'Δ × volume × molar mass / 100.09',
            Format::number($by) .
                ' mg/L, ' .
                Format::number($given->number('volume_l'), 5) .
                ' L, ' .
                Format::number($factor, 5) .
                ' g a gram',
            Format::number($dose, 4) . ' g',
        );
        $work->cite('iupac-2007');
        match ($given->text('agent')) {
            'calcium_chloride', 'calcium_chloride_dihydrate' => $work->watch(
                Message::of('water.hardness_dose_heats_dissolves_salt_into'),
            ),
            'magnesium_sulfate_heptahydrate' => $work->note(
                Message::of('water.hardness_dose_raises_magnesium_koi_want'),
            ),
            default => $work->note(Message::of('water.hardness_dose_gypsum_dissolves_slowly_over')),
        };
        if ($by > 90) {
            $work->watch(Message::of('water.hardness_dose_dgh_once_much_spread'));
        }

        return $work->result(['dose_g' => $dose]);
    }

    /** @return array<string, float> g/mol, each with one of calcium or magnesium */
    private static function masses(): array
    {
        $chloride = MolarMass::CA + 2 * MolarMass::CL;

        return [
            'calcium_chloride_dihydrate' => $chloride + 2 * MolarMass::H2O,
            'calcium_chloride' => $chloride,
            'magnesium_sulfate_heptahydrate' => MolarMass::MG + MolarMass::S + 4 * MolarMass::O + 7 * MolarMass::H2O,
            'calcium_sulfate_dihydrate' => MolarMass::CA + MolarMass::S + 4 * MolarMass::O + 2 * MolarMass::H2O,
        ];
    }
}
