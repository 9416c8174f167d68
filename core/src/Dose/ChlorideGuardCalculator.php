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
use Ironwort\Core\Words\Message;

/**
 * Salt that keeps nitrite out of the fish: ten parts of chloride to one of nitrite nitrogen.
 *
 *     volume_l 1000, no2_n_mg_l 4, chloride_mg_l 15  →  salt_mg_l 41.2, rule_lb_per_acre_ft 112.5
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
            Input::number('chloride_mg_l', 'Chloride', 'mg/L', 0, 20000)->optional(),
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
            new Output('standing_g_l', 'g/L'),
            new Output('light_g', 'g'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $share = MolarMass::CL / (MolarMass::NA + MolarMass::CL);
        // Chloride that nobody measured is not counted on: the dose is then the most it could have to be.
        $chloride = $given->numberOrNull('chloride_mg_l') ?? 0.0;
        $short = max(0.0, $given->number('ratio') * $given->number('no2_n_mg_l') - $chloride);
        $salt = $short / $share;
        $standing = ($chloride / $share + $salt) / 1000;
        if ($salt > 0 && $standing > SaltCalculator::STANDING_G_L) {
            throw BadInput::at(
                $given->number('ratio') > 10 ? 'ratio' : 'no2_n_mg_l',
                'That would be ' .
                    Format::number($standing, 2) .
                    ' g/L of salt, and koi stand 8: change water first, and salt against what is left.',
            );
        }
        $pounds = max(0.0, 10 * $given->number('no2_n_mg_l') - $chloride) * 4.5;
        $work = new Working();
        $work->step(
            'Chloride that is short.',
            'ratio × nitrite − chloride',
            Format::number($given->number('ratio')) .
                ' × ' .
                Format::number($given->number('no2_n_mg_l')) .
                ' − ' .
                Format::number($chloride),
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
        $work->step(
            'The light rule, for comparison: a teaspoon to 10 US gallons.',
            '0.16 g/L × volume',
            Format::number($given->number('volume_l'), 5) . ' L',
            Format::number(SaltCalculator::LIGHT_G_L * $given->number('volume_l'), 4) . ' g',
        );
        $work->cite('srac-462', 'iupac-2007', 'cp-salt', 'dose-conflicts');
        if ($given->numberOrNull('chloride_mg_l') === null) {
            $work->watch(Message::of('dose.chloride_guard_chloride_unknown'));
        }
        if ($salt <= 0) {
            $work->note(Message::of('dose.chloride_guard_enough'));
        } else {
            $work->watch(Message::of('dose.chloride_guard_zeolite_loop_shields_fish'));
        }
        if ($salt > 500) {
            $work->watch(Message::of('dose.salt_once_shock_steps'));
        }

        return $work->result([
            'salt_g' => ($salt * $given->number('volume_l')) / 1000,
            'salt_mg_l' => $salt,
            'rule_lb_per_acre_ft' => $pounds,
            'rule_mg_l' => ($pounds * self::G_PER_LB * 1000) / self::L_PER_ACRE_FOOT,
            'standing_g_l' => $standing,
            'light_g' => SaltCalculator::LIGHT_G_L * $given->number('volume_l'),
        ]);
    }
}
