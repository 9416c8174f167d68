<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 *
 *     temp_c 20  →  do_sat_mg_l 9.092
 *
 * @see Oxygen for formula, validity and sources
 */
final readonly class OxygenSaturationCalculator implements Calculator
{
    public function name(): string
    {
        return 'oxygen.saturation';
    }

    public function title(): string
    {
        return 'Oxygen at saturation';
    }

    public function inputs(): array
    {
        return [WaterInputs::temperature(), WaterInputs::salinity(), ...AirPressure::inputs()];
    }

    public function outputs(): array
    {
        return [new Output('do_sat_mg_l', 'mg/L')];
    }

    public function calculate(Given $given): Result
    {
        $work = new Working();
        $saturation = self::work($work, $given);

        return $work->result(['do_sat_mg_l' => $saturation]);
    }

    /** Works out the saturation of the given water, with its steps, mg/L. */
    public static function work(Working $work, Given $given): float
    {
        $temp = $given->number('temp_c');
        $salinity = $given->number('salinity_g_l');
        $pressure = AirPressure::of($given);
        $saturation = Oxygen::saturation($temp, $salinity, $pressure->atm);

        $work->cite('benson-krause-1984', 'standard-methods-4500-o');
        $pressure->explain($work);
        $work->step(
            'What this water holds at one atmosphere.',
            'ln C* = −139.34411 + 1.575701e5/T − 6.642308e7/T² + 1.2438e10/T³ − 8.621949e11/T⁴ − ' .
                'S (0.017674 − 10.754/T + 2140.7/T²)',
            'T = ' . Format::number($temp + 273.15, 5) . ' K, S = ' . Format::number($salinity) . ' g/L',
            Format::number(Oxygen::saturationAtOneAtmosphere($temp, $salinity)) . ' mg/L',
        );
        $work->step(
            'Corrected for the air pressure and the vapour in it.',
            'C = C* P (1 − Pwv/P)(1 − θP) / ((1 − Pwv)(1 − θ))',
            'P = ' . Format::number($pressure->atm, 5) . ' atm',
            Format::number($saturation) . ' mg/L',
        );

        return $saturation;
    }
}
