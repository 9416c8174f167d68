<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 *
 *     tan_mg_l 1, ph 8, temp_c 20  →  nh3_n_mg_l 0.0382, fraction_pct 3.82
 *
 * @see UnionisedAmmonia for formula, validity and sources
 */
final readonly class UnionisedAmmoniaCalculator implements Calculator
{
    public function name(): string
    {
        return 'ammonia.unionised';
    }

    public function title(): string
    {
        return 'Un-ionised ammonia';
    }

    public function inputs(): array
    {
        return [WaterInputs::tan(), WaterInputs::ph(), WaterInputs::temperature(), WaterInputs::salinity()];
    }

    public function outputs(): array
    {
        return [
            new Output('pka'),
            new Output('fraction_pct', '%'),
            new Output('nh3_n_mg_l', 'mg/L as N'),
            new Output('nh4_n_mg_l', 'mg/L as N'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $tan = $given->number('tan_mg_l');
        $ph = $given->number('ph');
        $temp = $given->number('temp_c');
        $salinity = $given->number('salinity_g_l');
        $ammonia = UnionisedAmmonia::of($tan, $ph, $temp, $salinity);

        $work = new Working();
        $work->cite('emerson-1975');
        if ($salinity > 0) {
            $work->step(
                'Ionic strength of the salt in the water.',
                'I = 19.9273 S / (1000 − 1.005109 S)',
                'S = ' . Format::number($salinity) . ' g/L',
                Format::number($ammonia->ionicStrength) . ' mol/kg',
            );
            $work->cite('epa-1989-salt');
            $work->note(Message::of('water.unionised_ammonia_shift_salt_fitted_sea'));
        }
        $work->step(
            'Where ammonium lets go of its hydrogen at this temperature.',
            'pKa = 0.09018 + 2729.92 / (t + 273.2) + 0.116 I',
            't = ' . Format::number($temp) . ' °C, I = ' . Format::number($ammonia->ionicStrength),
            Format::number($ammonia->pka, 5),
        );
        $work->step(
            'The share of the ammonia that is un-ionised, the part that burns.',
            'fraction = 1 / (10^(pKa − pH) + 1)',
            'pKa = ' . Format::number($ammonia->pka, 5) . ', pH = ' . Format::number($ph),
            Format::number(100 * $ammonia->fraction) . ' %',
        );
        $work->step(
            'Un-ionised ammonia.',
            'NH3-N = total ammonia × fraction',
            Format::number($tan) . ' mg/L × ' . Format::number(100 * $ammonia->fraction) . ' %',
            Format::number($ammonia->nh3N) . ' mg/L as N',
        );
        if ($temp > 30 || $ph < 6 || $ph > 10) {
            $work->note(Message::of('water.unionised_ammonia_outside_table_1975_30'));
        }

        return $work->result([
            'pka' => $ammonia->pka,
            'fraction_pct' => 100 * $ammonia->fraction,
            'nh3_n_mg_l' => $ammonia->nh3N,
            'nh4_n_mg_l' => $ammonia->nh4N,
        ]);
    }
}
