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
 * How full a charge of zeolite or ammonia resin is, the day it is full, and the brine that empties it.
 *
 * It takes what the fish make, no faster than the flow through it brings, until it holds what it can. Salt
 * shrinks what it holds, 1/(1 + S/0.15); each regeneration a tenth.
 *
 *     1,000 g of 1.5 mg N/g regenerated once, 0.15 g N/d  →  full after 9 days
 *
 * @source zeolite-regeneration-from-memory
 */
final readonly class ChargeCalculator implements Calculator
{
    private const KEPT_PER_CYCLE = 0.9;

    private const SALT_HALF_G_L = 0.15;

    /** Litres of brine for a kilogram, and salt in it, g/L. */
    private const BRINE_L_KG = 2.0;

    private const BRINE_G_L = 40.0;

    public function name(): string
    {
        return 'dose.charge';
    }

    public function title(): string
    {
        return 'A charge of zeolite or resin';
    }

    public function inputs(): array
    {
        return [
            Input::number('mass_g', 'Charge', 'g', 1, 1e7),
            Input::number('capacity_mg_n_per_g', 'It holds when new', 'mg N/g', 0.05, 30)->or(
                ZeoliteCalculator::CAPACITY_MG_N_PER_G,
            ),
            Input::number('cycles', 'Regenerated so often', null, 0, 100)->or(0.0),
            Input::number('production_g_d', 'Ammonia made', 'g N/d', 0, 1e5),
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 100)->optional(),
            Input::number('flow_l_h', 'Flow through it', 'L/h', 0, 1e7)->optional(),
            Input::number('days_in', 'Days in', 'd', 0, 3650),
            Input::number('salinity_g_l', 'Salinity', 'g/L', 0, 40)->or(0.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('holds_g', 'g N'),
            new Output('used_g', 'g N'),
            new Output('used_pct', '%'),
            new Output('takes_g_d', 'g N/d'),
            new Output('full_in_d', 'd'),
            new Output('brine_l', 'L'),
            new Output('brine_salt_g', 'g'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $mass = $given->number('mass_g');
        $fresh =
            (($mass * $given->number('capacity_mg_n_per_g')) / 1000) * self::KEPT_PER_CYCLE ** $given->number('cycles');
        $holds = $fresh / (1 + $given->number('salinity_g_l') / self::SALT_HALF_G_L);
        $tan = $given->numberOrNull('tan_mg_l');
        $flow = $given->numberOrNull('flow_l_h');
        $brings = $tan === null || $flow === null ? INF : (($flow * 24) / 1000) * $tan;
        $takes = min($given->number('production_g_d'), $brings);
        $used = min($holds, $takes * $given->number('days_in'));
        $left = max(0.0, $holds - $takes * $given->number('days_in'));
        $work = new Working();
        $work->step(
            'What it holds now.',
            'mass × capacity × 0.9^cycles / (1 + S/0.15)',
            Format::number($mass, 5) .
                ' g × ' .
                Format::number($given->number('capacity_mg_n_per_g')) .
                ' mg/g, ' .
                Format::number($given->number('cycles')) .
                ' cycles, ' .
                Format::number($given->number('salinity_g_l')) .
                ' g/L of salt',
            Format::number($holds) . ' g N',
        );
        $work->step(
            'What it takes in a day: all that is made, or what the flow brings.',
            'min(made, flow × TAN)',
            Format::number($given->number('production_g_d')) .
                ' g N/d' .
                (is_finite($brings) ? ', ' . Format::number($brings) . ' g N/d' : ''),
            Format::number($takes) . ' g N/d',
        );
        $work->step(
            'Taken so far.',
            'takes × days',
            Format::number($given->number('days_in')) . ' days',
            Format::number($used) . ' g N',
        );
        $work->cite('zeolite-regeneration-from-memory', 'zeolite-from-memory');
        if ($given->number('salinity_g_l') >= 0.5) {
            $work->danger(Message::of('dose.charge_salt_water_charge_lets'));
        } elseif ($given->number('salinity_g_l') >= 0.2) {
            $work->watch(Message::of('dose.charge_even_little_salt_makes'));
        }
        if ($left <= 0) {
            $work->watch(Message::of('dose.charge_full_throw_away_regenerate'));
        }
        $work->note(Message::of('dose.charge_said_hold_differs_several'));

        return $work->result([
            'holds_g' => $holds,
            'used_g' => $used,
            'used_pct' => $holds > 0 ? (100 * $used) / $holds : 100.0,
            'takes_g_d' => $takes,
            'full_in_d' => $takes > 0 ? $left / $takes : null,
            'brine_l' => (self::BRINE_L_KG * $mass) / 1000,
            'brine_salt_g' => ((self::BRINE_L_KG * $mass) / 1000) * self::BRINE_G_L,
        ]);
    }
}
