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
 * Zeolite for the ammonia that is there, and how long it lasts; less and less of it as salt goes in.
 *
 *     tan_mg_l 1, volume_l 1000, production_g_d 0.5  →  mass_g 600, lasts_d 1.8
 *
 * @source zeolite-from-memory  1.5 mg N/g, capacity × 1/(1 + S/0.15)
 */
final readonly class ZeoliteCalculator implements Calculator
{
    /** What a gram of zeolite is taken to hold where its data sheet says nothing, mg N. */
    public const CAPACITY_MG_N_PER_G = 1.5;

    /** Less than this of ammonia above the goal is nothing, mg/L as N. */
    private const TOLD_APART_MG_L = 0.001;

    public function name(): string
    {
        return 'dose.zeolite';
    }

    public function title(): string
    {
        return 'Zeolite';
    }

    public function inputs(): array
    {
        return [
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 100),
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('target_mg_l', 'Down to', 'mg/L as N', 0, 100)->or(0.1),
            Input::number('capacity_mg_n_per_g', 'It holds', 'mg N/g', 0.05, 30)->or(self::CAPACITY_MG_N_PER_G),
            Input::number('salinity_g_l', 'Salinity', 'g/L', 0, 40)->or(0.0),
            Input::number('production_g_d', 'Ammonia made', 'g N/d', 0, 1e5)->or(0.0),
            Input::number('salinity_before_g_l', 'Salinity when it went in', 'g/L', 0, 40)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('mass_g', 'g'), new Output('lasts_d', 'd'), new Output('capacity_mg_n_per_g', 'mg N/g')];
    }

    public function calculate(Given $given): Result
    {
        $salt = $given->number('salinity_g_l');
        $capacity = $given->number('capacity_mg_n_per_g') / (1 + $salt / 0.15);
        $over = $given->number('tan_mg_l') - $given->number('target_mg_l');
        // What a kit cannot tell from the goal is at it.
        $mass = $over < self::TOLD_APART_MG_L ? 0.0 : ($over * $given->number('volume_l')) / $capacity;
        $made = $given->number('production_g_d');
        $work = new Working();
        $work->step(
            'What a gram holds in this water.',
            'capacity / (1 + S/0.15)',
            Format::number($given->number('capacity_mg_n_per_g')) . ' mg N/g, ' . Format::number($salt) . ' g/L',
            Format::number($capacity) . ' mg N/g',
        );
        $work->step(
            'For what is there.',
            '(TAN − target) × volume / capacity',
            Format::number($given->number('tan_mg_l')) .
                ' − ' .
                Format::number($given->number('target_mg_l')) .
                ' mg/L, ' .
                Format::number($given->number('volume_l'), 5) .
                ' L',
            Format::number($mass, 4) . ' g',
        );
        $work->cite('zeolite-from-memory', 'dose-conflicts');
        $before = $given->numberOrNull('salinity_before_g_l');
        if ($salt >= 0.5) {
            $work->danger(Message::of('dose.zeolite_much_salt_zeolite_holds'));
        } elseif ($before !== null && $salt > $before) {
            $work->danger(Message::of('dose.zeolite_salt_risen_since_went'));
        } elseif ($salt >= 0.2) {
            $work->watch(Message::of('dose.zeolite_salt_water_holds_less'));
        }
        $work->note(Message::of('dose.zeolite_rinse_dust_off_first'));

        return $work->result([
            'mass_g' => $mass,
            'lasts_d' => $made > 0 ? ($capacity * $mass) / 1000 / $made : null,
            'capacity_mg_n_per_g' => $capacity,
        ]);
    }
}
