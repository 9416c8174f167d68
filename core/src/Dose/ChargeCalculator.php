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
use Ironwort\Core\Numeric\Root;
use Ironwort\Core\Words\Message;

/**
 * How full a charge of zeolite or ammonia resin is, the day it is full, and the brine that empties it.
 *
 * It takes what the fish make and what stands in the water, no faster than the flow through it brings, until it holds
 * what it can: taken(t) = P t + V (C₀ − C(t)), C → P/q at q/V. Salt shrinks what it holds, 1/(1 + S/0.15); each
 * regeneration a tenth.
 *
 *     mass_g 1000, production_g_d 0.15, days_in 0, cycles 1  →  full_in_d 9
 *     mass_g 1000, production_g_d 0.15, days_in 0, cycles 1, tan_mg_l 1, volume_l 1000  →  full_in_d 2.3
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

    /** A charge that lasts longer never fills. */
    private const LOOKED_AHEAD_D = 1e5;

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
            Input::number('volume_l', 'Water it stands in', 'L', 0.1, 1e8)->optional(),
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
        $made = $given->number('production_g_d');
        $steady = min($made, $brings);
        $used = min($holds, $steady * $given->number('days_in'));
        $left = max(0.0, $holds - $steady * $given->number('days_in'));
        $stands = (($tan ?? 0.0) * ($given->numberOrNull('volume_l') ?? 0.0)) / 1000;
        $taken = static fn(float $days): float => self::taken(
            $days,
            $stands,
            $given->numberOrNull('volume_l') === null ? $steady : $made,
            $flow === null || $given->numberOrNull('volume_l') === null
                ? null
                : (24 * $flow) / $given->number('volume_l'),
        );
        $takes = min($left, $taken(1.0));
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
            'What it takes in the first day: of what is made and what stands in the water, all that the flow brings.',
            'P t + V (C₀ − C(t))',
            Format::number($made) .
                ' g N/d made, ' .
                Format::number($stands) .
                ' g N standing' .
                (is_finite($brings) ? ', ' . Format::number($brings) . ' g N/d brought' : ''),
            Format::number($takes) . ' g N/d',
        );
        $work->step(
            'Taken so far.',
            'made, no more than the flow brings, × days',
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
            'full_in_d' => self::fullIn($left, $taken),
            'brine_l' => (self::BRINE_L_KG * $mass) / 1000,
            'brine_salt_g' => ((self::BRINE_L_KG * $mass) / 1000) * self::BRINE_G_L,
        ]);
    }

    /**
     * g N taken after so many days.
     *
     * @param  float  $stands  g N in the water at the start
     * @param  float  $made  g N/d
     * @param  ?float  $turns  of the water through the charge in a day; null where all is taken at once
     */
    private static function taken(float $days, float $stands, float $made, ?float $turns): float
    {
        if ($turns === null) {
            return $stands + $made * $days;
        }
        if ($turns <= 0) {
            return 0.0;
        }
        $settles = $made / $turns;

        return max(0.0, $made * $days + ($stands - $settles) * (1 - exp(-$turns * $days)));
    }

    /**
     * Days until so much more is taken; null where that never comes.
     *
     * @param  \Closure(float): float  $taken
     */
    private static function fullIn(float $left, \Closure $taken): ?float
    {
        if ($left <= $taken(0.0)) {
            return 0.0;
        }
        $short = static fn(float $days): float => $left - $taken($days);
        $far = Root::bracket($short, 1.0, self::LOOKED_AHEAD_D);

        return $far === null ? null : Root::between($short, 0.0, $far, 1e-9);
    }
}
