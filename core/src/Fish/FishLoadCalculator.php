<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 *
 *     biomass_kg 50, feed_g_d 220, temp_c 18  →  tan_g_d 7.69, o2_g_d 104.5, solids_g_d 60.5, alkalinity_g_d 54.9
 *
 * @see DailyLoad for formulas, validity and sources
 */
final readonly class FishLoadCalculator implements Calculator
{
    public function name(): string
    {
        return 'fish.load';
    }

    public function title(): string
    {
        return 'Load of fish and feed';
    }

    public function inputs(): array
    {
        return [
            Input::number('biomass_kg', 'Weight of all fish', 'kg', 0, 20000),
            Input::number('feed_g_d', 'Feed', 'g/d', 0, 500000),
            LoadInputs::protein(),
            Input::number('digestibility_pct', 'Digestibility', '%', 30, 98)->or(100 * DailyLoad::USUAL_DIGESTIBILITY),
            Input::number('uneaten_pct', 'Uneaten', '%', 0, 100)->or(0.0),
            WaterInputs::temperature(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('tan_g_d', 'g N/d'),
            new Output('o2_g_d', 'g/d'),
            new Output('co2_g_d', 'g/d'),
            new Output('solids_g_d', 'g/d'),
            new Output('nitrification_o2_g_d', 'g/d'),
            new Output('alkalinity_g_d', 'g CaCO₃/d'),
            new Output('net_alkalinity_g_d', 'g CaCO₃/d'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $biomass = $given->number('biomass_kg');
        $feed = $given->number('feed_g_d');
        $temp = $given->number('temp_c');
        $protein = $given->number('protein_pct') / 100;
        $digestibility = $given->number('digestibility_pct') / 100;
        $uneaten = $given->number('uneaten_pct') / 100;
        $load = DailyLoad::of($biomass, $feed, $protein, $digestibility, $uneaten, $temp);

        $work = new Working();
        $this->explain($work, $load, $given);
        $this->caution($work, $load, $biomass, $feed, $temp);

        return $work->result([
            'tan_g_d' => $load->tan(),
            'o2_g_d' => $load->oxygen(),
            'co2_g_d' => $load->carbonDioxide(),
            'solids_g_d' => $load->solids,
            'nitrification_o2_g_d' => $load->nitrificationOxygen(),
            'alkalinity_g_d' => $load->alkalinity(),
            'net_alkalinity_g_d' => $load->netAlkalinity(),
        ]);
    }

    private function explain(Working $work, DailyLoad $load, Given $given): void
    {
        $n = static fn(string $key): string => Format::number($given->number($key));
        $work->step(
            'Ammonia from the feed eaten.',
            'eaten × protein × 0.092 × digestibility / 80 %',
            "{$n('feed_g_d')} g less {$n('uneaten_pct')} % × {$n('protein_pct')} % × 0.092 × {$n(
                'digestibility_pct',
            )} / 80 %",
            Format::number($load->fedTan) . ' g N/d',
        );
        $work->step(
            'What these fish excrete unfed at this temperature.',
            '0.08 g/kg × 2^((t − 20)/10) × biomass',
            '0.08 × ' . Format::number($load->floorFactor) . " × {$n('biomass_kg')} kg",
            Format::number($load->floorTan) . ' g N/d',
        );
        if ($load->rottingTan > 0) {
            $work->step(
                'Feed left to rot gives up all its nitrogen.',
                'uneaten × protein × 0.16',
                "{$n('uneaten_pct')} % of {$n('feed_g_d')} g × {$n('protein_pct')} % × 0.16",
                Format::number($load->rottingTan) . ' g N/d',
            );
        }
        $work->step(
            'The larger of the first two, and what rots.',
            'load = max(fed, unfed) + rotting',
            'max(' .
                Format::number($load->fedTan) .
                ', ' .
                Format::number($load->floorTan) .
                ') + ' .
                Format::number($load->rottingTan),
            Format::number($load->tan()) . ' g N/d',
        );
        $work->step(
            'Oxygen the fish breathe.',
            'max(0.4 × eaten, 2.4 g/kg × 2^((t − 20)/10) × biomass)',
            'max(' . Format::number($load->fedOxygen) . ', ' . Format::number($load->floorOxygen) . ')',
            Format::number($load->oxygen()) . ' g/d',
        );
        $work->step(
            'Carbon dioxide they breathe out.',
            '1.375 × oxygen',
            '1.375 × ' . Format::number($load->oxygen()),
            Format::number($load->carbonDioxide()) . ' g/d',
        );
        $work->step(
            'Droppings, as dry solids (between 0.25 and 0.30 of what is eaten).',
            '0.275 × eaten',
            'feed eaten',
            Format::number($load->solids) . ' g/d',
        );
        $work->step(
            'Oxygen the filter takes to nitrify it.',
            '4.57 × load',
            '4.57 × ' . Format::number($load->tan()),
            Format::number($load->nitrificationOxygen()) . ' g/d',
        );
        $work->step(
            'Alkalinity nitrifying takes, and the net loss once what excretion brings is counted.',
            '7.14 × load; 3.57 × load',
            Format::number($load->tan()) . ' g N/d',
            Format::number($load->alkalinity()) . ' and ' . Format::number($load->netAlkalinity()) . ' g CaCO₃/d',
        );
        $work->cite(
            'timmons-ebeling',
            'floor-excretion',
            'fish-oxygen',
            'nitrification-stoichiometry',
            'respiratory-quotient',
            'solids-per-feed',
        );
    }

    private function caution(Working $work, DailyLoad $load, float $biomass, float $feed, float $temp): void
    {
        if ($feed > 0 && $biomass <= 0) {
            $work->watch(Message::of('fish.load_feed_fish_eat'));
        } elseif ($feed > 0.1 * 1000 * $biomass) {
            $work->watch(Message::of('fish.load_tenth_fishs_own_weight'));
        }
        if ($feed > 0 && $temp < 8) {
            $work->watch(Message::of('fish.load_below_koi_hardly_digest'));
        }
        if ($load->floorTan > $load->fedTan && $biomass > 0) {
            $work->note(Message::of('fish.load_little_fed_fish_excrete'));
        }
    }
}
