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
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Words\Message;

/**
 * Salt that keeps nitrite out of the fish: ten parts of chloride to one of nitrite nitrogen.
 *
 *     4 mg/L nitrite, 15 mg/L chloride  →  41.2 mg/L of salt; 112.5 lb an acre-foot by the rule
 *
 * @source srac-462
 */
final readonly class ChlorideGuardCalculator implements Calculator
{
    private const G_PER_LB = 453.59237;

    private const L_PER_ACRE_FOOT = 1233481.84;

    public function name(): string
    {
        return 'dose.chloride_guard';
    }

    public function title(): string
    {
        return 'Salt against nitrite';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e10),
            Input::number('no2_n_mg_l', 'Nitrite', 'mg/L as N', 0, 200),
            Input::number('chloride_mg_l', 'Chloride', 'mg/L', 0, 20000),
            Input::number('ratio', 'Chloride to nitrite', null, 1, 50)->or(10.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('salt_g', 'g'),
            new Output('salt_mg_l', 'mg/L'),
            new Output('rule_lb_per_acre_ft'),
            new Output('rule_mg_l', 'mg/L'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $share = MolarMass::CL / (MolarMass::NA + MolarMass::CL);
        $short = max(0.0, $given->number('ratio') * $given->number('no2_n_mg_l') - $given->number('chloride_mg_l'));
        $salt = $short / $share;
        $pounds = max(0.0, 10 * $given->number('no2_n_mg_l') - $given->number('chloride_mg_l')) * 4.5;
        $work = new Working();
        $work->step(
            'Chloride that is short.',
            'ratio × nitrite − chloride',
            Format::number($given->number('ratio')) .
                ' × ' .
                Format::number($given->number('no2_n_mg_l')) .
                ' − ' .
                Format::number($given->number('chloride_mg_l')),
            Format::number($short) . ' mg/L',
        );
        $work->step(
            'As salt, of which 60.66 % is chloride.',
            'short / 0.6066 × volume',
            Format::number($given->number('volume_l'), 5) . ' L',
            Format::number(($salt * $given->number('volume_l')) / 1000, 4) . ' g',
        );
        $work->step(
            'By the rule of ponds, for comparison.',
            '(10 NO2-N − Cl) × 4.5 lb an acre-foot',
            '',
            Format::number($pounds, 4) .
                ' lb, ' .
                Format::number(($pounds * self::G_PER_LB * 1000) / self::L_PER_ACRE_FOOT, 3) .
                ' mg/L',
        );
        $work->cite('srac-462', 'iupac-2007', 'dose-conflicts');
        $work->watch(Message::of('dose.chloride_guard_zeolite_loop_shields_fish'));

        return $work->result([
            'salt_g' => ($salt * $given->number('volume_l')) / 1000,
            'salt_mg_l' => $salt,
            'rule_lb_per_acre_ft' => $pounds,
            'rule_mg_l' => ($pounds * self::G_PER_LB * 1000) / self::L_PER_ACRE_FOOT,
        ]);
    }
}
