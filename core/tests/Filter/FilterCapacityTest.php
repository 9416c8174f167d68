<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Filter\Carrying;
use Ironwort\Core\Filter\Limit;
use Ironwort\Core\Filter\StageInflow;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

final class FilterCapacityTest extends TestCase
{
    use Calculations;

    private const BED = ['kind' => 'static_bed', 'medium' => 'floating_bead', 'media_l' => 80, 'flow_l_h' => 4000];

    /** @param  array<string, mixed>  $change */
    private function water(array $change = []): array
    {
        return [
            ...['temp_c' => 22, 'ph' => 7.6, 'do_in_mg_l' => 7.5, 'tan_mg_l' => 0.5, 'alkalinity_mg_l' => 120],
            ...$change,
        ];
    }

    private function total(array $water, array ...$stages): float
    {
        return $this->figure('filter.capacity', [...$water, 'stages' => $stages], 'total_g_d');
    }

    /** Malone & Beecher 2000: removal of a mature floating-bead bed at three levels of ammonia at the surface. */
    public function test_floating_beads_remove_what_was_published(): void
    {
        $kind = Library::shipped()->stageKinds()->get('bead_vessel');
        foreach (Reference::table('malone-beecher-2000') as $row) {
            $rate =
                ArealRate::of($kind, new StageInflow($row['tan_mg_l'], 7, 25, 7.5, 120), 1, 0)->at($row['tan_mg_l']) *
                1150;
            self::assertGreaterThanOrEqual($row['low'], $rate);
            self::assertLessThanOrEqual($row['high'], $rate);
        }
    }

    public function test_the_outlet_balances_what_flow_brings_with_what_the_surface_takes(): void
    {
        $kinds = Library::shipped()->stageKinds();
        foreach (['static_bed', 'moving_bed', 'shower'] as $id) {
            foreach (
                [[0.1, 240.0, 100.0], [3.0, 12.0, 400.0], [8.0, 2.4, 5.0], [8.0, 5.0, 300.0]]
                as [$inlet, $flow, $area]
            ) {
                $rate = ArealRate::of($kinds->get($id), new StageInflow($inlet, 6, 24, 7.5, 100), 0.9, 0.1);
                $outlet = $rate->outlet($inlet, $flow, $area);
                self::assertEqualsWithDelta(
                    $flow * ($inlet - $outlet),
                    $rate->at($outlet) * $area,
                    1e-9 * $flow * $inlet,
                    "{$id} {$inlet}",
                );
            }
        }
    }

    public function test_each_of_the_three_limits_can_hold_and_is_named(): void
    {
        $holding = fn(array $water, array $stage): string => $this->calculate('filter.capacity', [
            ...$water,
            'stages' => [$stage],
        ])->figures['stages'][0]['limiting'];
        self::assertSame('surface', $holding($this->water(), self::BED));
        self::assertSame(
            'oxygen',
            $holding($this->water(['tan_mg_l' => 4, 'do_in_mg_l' => 3]), [...self::BED, 'media_l' => 2000]),
        );
        self::assertSame('transport', $holding($this->water(), [...self::BED, 'flow_l_h' => 40]));

        $oxygen = $this->calculate('filter.capacity', [...$this->water(), 'stages' => [self::BED]])->figures[
            'stages'
        ][0];
        self::assertEqualsWithDelta((4000 * (7.5 - 2) * 24) / 1000 / 4.57, $oxygen['oxygen_limit_g_d'], 1e-9);
        self::assertEqualsWithDelta((4000 * 0.5 * 24) / 1000, $oxygen['transport_limit_g_d'], 1e-9);
        self::assertEqualsWithDelta(92, $oxygen['area_m2'], 1e-9);
    }

    public function test_stages_in_series_meet_cleaner_water_and_parallel_ones_the_same(): void
    {
        $one = $this->total($this->water(), self::BED);
        $series = $this->total($this->water(), self::BED, self::BED);
        $parallel = $this->total($this->water(), [...self::BED, 'branch' => 'a'], [...self::BED, 'branch' => 'b']);
        self::assertGreaterThan($one, $series);
        self::assertLessThan(2 * $one, $series);
        self::assertEqualsWithDelta(2 * $one, $parallel, 1e-9);
    }

    public function test_a_moving_bed_short_of_oxygen_gains_nothing_from_more_ammonia(): void
    {
        $bed = [
            'kind' => 'moving_bed',
            'medium' => 'moving_carrier',
            'media_l' => 50,
            'flow_l_h' => 20000,
            'air_l_min' => 200,
        ];
        $rate = fn(float $tan): float => $this->total($this->water(['tan_mg_l' => $tan, 'do_in_mg_l' => 5]), $bed);
        // Rusten et al. 2006: above DO/3.2 = 1.56 mg/L oxygen, not ammonia, sets the rate.
        self::assertEqualsWithDelta($rate(3), $rate(6), 1e-9);
        self::assertGreaterThan($rate(0.8), $rate(1.4));
    }

    /**
     * Over random loops: worse water or less filter never removes more, and nothing removes more than the flow
     * brings.
     */
    public function test_capacity_never_rises_as_things_get_worse(): void
    {
        mt_srand(20);
        $kinds = ['static_bed', 'moving_bed', 'matting', 'bead_vessel', 'shower', 'brush', 'bog', 'sponge'];
        $any = static fn(float $from, float $to): float => $from + (($to - $from) * mt_rand()) / mt_getrandmax();
        for ($i = 0; $i < 150; $i++) {
            $water = $this->water([
                'temp_c' => $any(6, 30),
                'do_in_mg_l' => $any(2.5, 10),
                'tan_mg_l' => $any(0.02, 6),
                'ph' => $any(6.6, 8.4),
            ]);
            $stages = [];
            for ($n = mt_rand(1, 5); $n > 0; $n--) {
                $stages[] = [
                    'kind' => $kinds[array_rand($kinds)],
                    'area_m2_m3' => $any(50, 1200),
                    'media_l' => $any(5, 800),
                    'flow_l_h' => $any(200, 20000),
                    'branch' => [null, 'a', 'b'][mt_rand(0, 2)],
                    'air_l_min' => $any(0, 60),
                    'fouling_pct' => $any(0, 50),
                ];
            }
            $whole = $this->calculate('filter.capacity', [...$water, 'stages' => $stages]);
            $total = $whole->number('total_g_d');
            self::assertLessThanOrEqual((($whole->number('flow_l_h') * 24) / 1000) * $water['tan_mg_l'] + 1e-9, $total);

            $worse = [
                'colder' => [[...$water, 'temp_c' => $water['temp_c'] - 3], $stages],
                'less oxygen' => [[...$water, 'do_in_mg_l' => $water['do_in_mg_l'] - 0.4], $stages],
                'sourer' => [[...$water, 'ph' => min($water['ph'], 7.2) - 0.3], $stages],
                'less medium' => [
                    $water,
                    array_map(static fn(array $s): array => [...$s, 'media_l' => 0.7 * $s['media_l']], $stages),
                ],
                'fouled' => [
                    $water,
                    array_map(static fn(array $s): array => [...$s, 'fouling_pct' => $s['fouling_pct'] + 20], $stages),
                ],
            ];
            foreach ($worse as $what => [$w, $s]) {
                self::assertLessThanOrEqual($total * (1 + 1e-9), $this->total($w, ...$s), "{$what}, loop {$i}");
            }
        }
    }

    public function test_what_is_missing_or_doubled_is_refused_at_its_row(): void
    {
        $errors = $this->errors('filter.capacity', [
            ...$this->water(),
            'stages' => [['kind' => 'matting', 'media_l' => 60, 'flow_l_h' => 2000]],
        ]);
        self::assertSame(['stages.0.medium'], array_keys($errors));
        $errors = $this->errors('filter.capacity', [
            ...$this->water(),
            'stages' => [['kind' => 'matting', 'medium' => 'coarse_matting', 'area_m2_m3' => 200, 'flow_l_h' => -3]],
        ]);
        self::assertSame(['stages.0.flow_l_h', 'stages.0.area_m2_m3'], array_keys($errors));
    }

    public function test_load_against_capacity_is_said_in_a_sentence(): void
    {
        $carrying = new Carrying(7.7, 9.1, Limit::Surface);
        self::assertSame(State::Watch, $carrying->state);
        self::assertSame(
            'Filter capacity today 9.1 g N/day with ammonia held at 0.25 mg/L, load 7.7: 15 % to spare. Surface ' .
                'area is the limit.',
            $carrying->sentence(0.25),
        );
        self::assertStringContainsString(
            ': 3 g N too little',
            (new Carrying(12.1, 9.1, Limit::Oxygen))->sentence(0.25),
        );
        self::assertSame(State::Act, (new Carrying(1, 0, Limit::Transport))->state, 'reckoned, not read');
    }

    public function test_oxygen_that_leaves_a_bed_is_what_came_less_what_its_nitrification_took(): void
    {
        $stage = $this->calculate('filter.capacity', [...$this->water(), 'stages' => [self::BED]])->figures[
            'stages'
        ][0];
        // 4.57 g of oxygen a gram of nitrogen, over 96 m³ a day; a bead bed takes none from the air.
        self::assertEqualsWithDelta(7.5 - (4.57 * $stage['capacity_g_d']) / 96, $stage['do_out_mg_l'], 1e-9);
        self::assertLessThan(7.5, $stage['do_out_mg_l']);
    }
}
