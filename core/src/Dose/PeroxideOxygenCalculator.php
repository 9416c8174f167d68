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
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Water\Oxygen;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Peroxide as the last resort for oxygen: 0.4704 g of O2 a gram of H2O2.
 *
 * Refused above 10 mg/L of peroxide, and never lifted past saturation where oxygen and temperature are known.
 *
 *     volume_l 1000, rise_mg_l 2, strength_pct 3  →  h2o2_g 4.25, product_g 142
 */
final readonly class PeroxideOxygenCalculator implements Calculator
{
    public function name(): string
    {
        return 'dose.peroxide_oxygen';
    }

    public function title(): string
    {
        return 'Peroxide for oxygen';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('rise_mg_l', 'Oxygen to add', 'mg/L', 0.1, 20),
            Input::number('strength_pct', 'Strength of the product, w/w', '%', 0.5, 35),
            Input::number('do_mg_l', 'Oxygen now', 'mg/L', 0, 30)->optional(),
            WaterInputs::temperature()->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('h2o2_g', 'g'),
            new Output('product_g', 'g'),
            new Output('h2o2_mg_l', 'mg/L'),
            new Output('rise_mg_l', 'mg/L'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $rise = $given->number('rise_mg_l');
        $work = new Working();
        $now = $given->numberOrNull('do_mg_l');
        $temp = $given->numberOrNull('temp_c');
        if ($now !== null && $temp !== null) {
            $room = max(0.0, Oxygen::saturation($temp) - $now);
            if ($rise > $room) {
                $work->watch(
                    Message::of('dose.peroxide_oxygen_water_holds_mg_would', ['room' => Format::number($room, 2)]),
                );
                $rise = $room;
            }
        }
        $perPeroxide = MolarMass::O / (2 * MolarMass::H + 2 * MolarMass::O);
        $level = $rise / $perPeroxide;
        if ($level > 10) {
            throw BadInput::at(
                'rise_mg_l',
                'That takes ' .
                    Format::number($level, 3) .
                    ' mg/L of peroxide; above 10 it burns the gills. ' .
                    Format::number(10 * $perPeroxide, 2) .
                    ' mg/L at most, then air.',
            );
        }
        $grams = ($level * $given->number('volume_l')) / 1000;
        $work->step(
            'Peroxide for so much oxygen.',
            'rise / 0.4704',
            Format::number($rise) . ' mg/L',
            Format::number($level) . ' mg/L',
        );
        $work->step(
            'Stocking, and as the product.',
            '× volume / 1000 / strength',
            Format::number($given->number('volume_l'), 5) .
                ' L, ' .
                Format::number($given->number('strength_pct')) .
                ' %',
            Format::number($grams, 4) .
                ' g, ' .
                Format::number(($grams / $given->number('strength_pct')) * 100, 4) .
                ' g of it',
        );
        $work->cite('iupac-2007', 'peroxide-from-memory', 'dose-conflicts', 'benson-krause-1984');
        $work->danger(Message::of('dose.peroxide_oxygen_last_resort_while_air'));

        return $work->result([
            'h2o2_g' => $grams,
            'product_g' => ($grams / $given->number('strength_pct')) * 100,
            'h2o2_mg_l' => $level,
            'rise_mg_l' => $rise,
        ]);
    }
}
