<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** Dirt, nitrate, a filter measured, and a tub without one: against arithmetic done by hand. */
final class SolidsAndSinksTest extends TestCase
{
    use Calculations;

    public function test_all_dirt_is_caught_or_lies_on_the_floor_and_a_fresh_flush_leaves_none(): void
    {
        $stages = [
            ['kind' => 'vortex', 'flow_l_h' => 9000, 'media_l' => 300, 'days_since_flush' => 7],
            ['kind' => 'brush', 'flow_l_h' => 9000, 'media_l' => 200, 'days_since_flush' => 0],
            ['kind' => 'moving_bed', 'flow_l_h' => 9000, 'media_l' => 300],
        ];
        $result = $this->calculate('filter.solids', ['feed_g_d' => 200, 'temp_c' => 20, 'stages' => $stages]);
        self::assertEqualsWithDelta(55.0, $result->number('made_g_d'), 1e-9);
        $caught = array_column($result->figures['stages'], 'caught_g_d');
        self::assertEqualsWithDelta(55.0 - 5.5, array_sum($caught), 1e-9);
        // In series the brush meets what the vortex let through: 35 to 65 % × 25.
        self::assertEqualsWithDelta(0.35 / (0.65 * 0.25), $caught[0] / $caught[1], 1e-9);
        self::assertSame(0.0, $result->figures['stages'][1]['stored_g']);
        // Seven days of c a day: a quarter stays, the rest rots by 5 % a day: 0.75 c/0.05 (1 − e^−0.35) + 0.25 c 7.
        $rots = ((0.75 * $caught[0]) / 0.05) * (1 - exp(-0.35));
        self::assertEqualsWithDelta($rots + 0.25 * $caught[0] * 7, $result->figures['stages'][0]['stored_g'], 1e-9);
        // All the nitrogen, 4 % of it, sits in what rots; so does the 0.2 g of oxygen a gram of feed.
        self::assertEqualsWithDelta((0.04 / 0.75) * 0.05 * $rots, $result->number('tan_back_g_d'), 1e-9);
        self::assertEqualsWithDelta((0.2 / 0.275 / 0.75) * 0.05 * $rots, $result->number('o2_back_g_d'), 1e-9);
    }

    public function test_a_stage_blocks_when_it_holds_no_more_and_what_the_keeper_saw_corrects_it(): void
    {
        $sponge = ['kind' => 'sponge', 'flow_l_h' => 2000, 'media_l' => 30, 'days_since_flush' => 6];
        $stage = fn(array $change = [], float $feed = 120): array => $this->calculate('filter.solids', [
            'feed_g_d' => $feed,
            'temp_c' => 20,
            'stages' => [[...$sponge, ...$change]],
        ])->figures['stages'][0];
        $plain = $stage();
        $again = $stage(['days_since_flush' => $plain['blocks_after_d']]);
        self::assertEqualsWithDelta($again['holds_g'], $again['stored_g'], 1e-6);
        $little = $stage([], 5)['blocks_after_d'];
        self::assertGreaterThan(24 * $plain['blocks_after_d'], $little, 'most of so little rots as fast as it comes');
        self::assertLessThan(
            (4 * (24 * 450)) / (120 * 0.275 * 0.9),
            $little,
            'but what does not rot fills it in the end',
        );
        $seen = $stage(['seen_pct' => 1.5 * $stage(['days_since_flush' => 4])['fouling_pct'], 'seen_days_ago' => 2]);
        self::assertEqualsWithDelta(min(90, 1.5 * $plain['fouling_pct']), $seen['fouling_pct'], 1e-6);
        self::assertLessThan($plain['blocks_after_d'], $seen['blocks_after_d']);
    }

    public function test_a_chamber_without_media_fills_its_water_and_one_of_unknown_room_is_not_called_clean(): void
    {
        $stage = fn(array $change): array => $this->calculate('filter.solids', [
            'feed_g_d' => 200,
            'temp_c' => 20,
            'stages' => [['kind' => 'vortex', 'flow_l_h' => 9000, 'days_since_flush' => 30, ...$change]],
        ])->figures['stages'][0];
        self::assertSame($stage(['media_l' => 300])['fouling_pct'], $stage(['water_l' => 300])['fouling_pct']);
        self::assertSame(6000.0, $stage(['water_l' => 300])['holds_g']);
        self::assertGreaterThan(0.0, $stage(['water_l' => 300])['blocks_in_d']);
        $unknown = $stage([]);
        self::assertNull($unknown['fouling_pct']);
        self::assertNull($unknown['blocks_after_d']);
        self::assertGreaterThan(0.0, $unknown['stored_g'], 'what lies in it rots all the same');
        self::assertSame(0.0, $stage(['kind' => 'moving_bed'])['fouling_pct'], 'one that catches none does not foul');
    }

    public function test_nitrate_settles_where_as_much_goes_as_is_made(): void
    {
        $changes = [
            'no3_n_mg_l' => 8,
            'production_g_d' => 10,
            'temp_c' => 20,
            'change_l_d' => 500,
            'source_no3_n_mg_l' => 3,
        ];
        // By hand: 5 % stays in sludge, the rest leaves with 0.5 m³ a day: 3 + 9.5/0.5 = 22.
        self::assertEqualsWithDelta(22.0, $this->figure('nitrate.sinks', $changes, 'no3_n_steady_mg_l'), 1e-9);
        self::assertEqualsWithDelta(2.5, $this->figure('nitrate.sinks', $changes, 'changes_g_d'), 1e-9);
        // 40 L a day topped up bring 0.12 g of it, and nothing leaves with them: 3 + (9.5 + 0.12)/0.5 = 22.24.
        $toppedUp = [...$changes, 'topup_l_d' => 40];
        self::assertEqualsWithDelta(22.24, $this->figure('nitrate.sinks', $toppedUp, 'no3_n_steady_mg_l'), 1e-9);
        self::assertEqualsWithDelta(2.38, $this->figure('nitrate.sinks', $toppedUp, 'changes_g_d'), 1e-9);
        $planted = $this->calculate('nitrate.sinks', [
            ...$changes,
            'plants_m2' => 10,
            'bog_m2' => 4,
            'denitrifying_l' => 50,
        ]);
        $steady = $planted->number('no3_n_steady_mg_l');
        self::assertLessThan(22.0, $steady);
        self::assertEqualsWithDelta(
            10.0,
            $this->figure(
                'nitrate.sinks',
                [...$changes, 'no3_n_mg_l' => $steady, 'plants_m2' => 10, 'bog_m2' => 4, 'denitrifying_l' => 50],
                'total_g_d',
            ),
            1e-9,
        );
        self::assertLessThan(
            $planted->number('plants_g_d'),
            $this->figure('nitrate.sinks', [...$changes, 'plants_m2' => 10, 'season' => 'winter'], 'plants_g_d'),
        );
        self::assertNull(
            $this->calculate('nitrate.sinks', [...$changes, 'change_l_d' => 0])->figures['no3_n_steady_mg_l'],
        );
    }

    public function test_microbes_fed_on_carbon_take_a_twentieth_of_it_and_breathe(): void
    {
        // Avnimelech 1999: 20 g of carbohydrate for 1 g N; at 8 mg/L they reach 8/(2 + 8) of it.
        $fed = ['no3_n_mg_l' => 8, 'production_g_d' => 10, 'temp_c' => 20, 'carbon_g_d' => 100];
        $result = $this->calculate('nitrate.sinks', $fed);
        self::assertEqualsWithDelta((100 / 20) * 0.8, $result->number('microbes_g_d'), 1e-9);
        self::assertEqualsWithDelta(80.0, $result->number('microbes_o2_g_d'), 1e-9);
        self::assertContains(
            'filter.nitrate_sinks_microbes_breathe',
            array_map(static fn($one): string => $one->message->code, $result->cautions),
        );
        self::assertSame(0.0, $this->figure('nitrate.sinks', [...$fed, 'carbon_g_d' => 0], 'microbes_o2_g_d'));
    }

    public function test_a_filter_measured(): void
    {
        // 8 m³/h × 24 × (0.30 − 0.24) g/m³.
        $measured = $this->calculate('filter.single_pass', ['flow_l_h' => 8000, 'in_mg_l' => 0.3, 'out_mg_l' => 0.24]);
        self::assertEqualsWithDelta(11.52, $measured->number('removal_g_d'), 1e-9);
        self::assertEqualsWithDelta(20.0, $measured->number('efficiency_pct'), 1e-9);
        self::assertLessThan(
            0.0,
            $this->figure(
                'filter.single_pass',
                ['flow_l_h' => 8000, 'in_mg_l' => 0.2, 'out_mg_l' => 0.24],
                'removal_g_d',
            ),
        );
    }

    public function test_a_tub_without_a_filter_is_held_by_changes(): void
    {
        // 1.5 kg unfed at 20 °C gives 0.12 g N a day: 0.2 mg/L in 600 L. At pH 7 the total decides.
        $tub = ['volume_l' => 600, 'biomass_kg' => 1.5, 'temp_c' => 20, 'ph' => 7, 'tan_limit_mg_l' => 0.5];
        $held = $this->calculate('filter.no_filter', $tub);
        self::assertEqualsWithDelta(40.0, $held->number('change_pct_d'), 1e-9);
        self::assertEqualsWithDelta(240.0, $held->number('trickle_l_d'), 1e-9);
        self::assertEqualsWithDelta(
            1.5,
            $this->figure('filter.no_filter', [...$tub, 'change_pct_d' => 40], 'biomass_held_kg'),
            1e-9,
        );
        // Day by day: rise, then change; the peak before the change settles at what is allowed.
        $tan = 0.0;
        for ($day = 0; $day < 60; $day++) {
            $tan += 0.2;
            $peak = $tan;
            $tan *= 0.6;
        }
        self::assertEqualsWithDelta(0.5, $peak, 1e-9);
        self::assertLessThan(0.5, $this->figure('filter.no_filter', [...$tub, 'ph' => 8.6], 'tan_allowed_mg_l'));
        $many = $this->calculate('filter.no_filter', [...$tub, 'biomass_kg' => 6]);
        self::assertEqualsWithDelta(15.0, $many->number('hours_between'), 1e-9);
        self::assertSame(
            ['source_tan_mg_l'],
            array_keys($this->errors('filter.no_filter', [...$tub, 'source_tan_mg_l' => 0.6])),
        );
    }
}
