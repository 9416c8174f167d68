<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Filter\Colony;
use Ironwort\Core\Filter\Headroom;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Water\UnionisedAmmonia;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where a system settles, and how much more it takes. */
final class FilterBalanceTest extends TestCase
{
    use Calculations;

    private const HOUSE = [
        'volume_l' => 9000,
        'biomass_kg' => 50,
        'feed_g_d' => 220,
        'temp_c' => 18,
        'ph' => 7.5,
        'alkalinity_mg_l' => 90,
        'walls_m2' => 30,
        'do_mg_l' => 7.8,
        'stages' => [
            ['kind' => 'brush', 'medium' => 'brush', 'media_l' => 200, 'flow_l_h' => 9000, 'fouling_pct' => 20],
            [
                'kind' => 'moving_bed',
                'medium' => 'small_carrier',
                'media_l' => 300,
                'flow_l_h' => 9000,
                'air_l_min' => 60,
            ],
        ],
    ];

    /** @return iterable<int, array{array<string, mixed>}> builds, loads and waters at random, from a fixed seed */
    public static function systems(): iterable
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(7));
        $between = static fn(float $low, float $high): float => $low +
            (($high - $low) * $random->getInt(0, 10000)) / 10000;
        $kinds = [
            'static_bed' => 'floating_bead',
            'moving_bed' => 'moving_carrier',
            'matting' => 'coarse_matting',
            'shower' => 'ball',
            'sponge' => 'foam_20ppi',
            'gravel' => 'gravel_10_20',
        ];
        for ($i = 0; $i < 40; $i++) {
            $stages = [];
            for ($n = 0; $n <= $random->getInt(0, 5); $n++) {
                $kind = array_keys($kinds)[$random->getInt(0, 5)];
                $stages[] = [
                    'kind' => $kind,
                    'medium' => $kinds[$kind],
                    'media_l' => $between(20, 500),
                    'flow_l_h' => $between(1000, 15000),
                    'air_l_min' => 40,
                    'fouling_pct' => $between(0, 60),
                    ...$random->getInt(0, 2) === 0 ? ['branch' => "b{$n}"] : [],
                ];
            }
            yield [
                [
                    'volume_l' => $between(600, 30000),
                    'biomass_kg' => $between(1, 80),
                    'feed_g_d' => $between(5, 500),
                    'temp_c' => $between(6, 28),
                    'ph' => $between(6.9, 8.4),
                    'alkalinity_mg_l' => $between(20, 250),
                    'walls_m2' => $between(0, 40),
                    'change_l_d' => $random->getInt(0, 1) * $between(10, 3000),
                    'source_tan_mg_l' => $random->getInt(0, 1) * 0.1,
                    'surface_m2' => 8,
                    'devices' => [['kind' => 'stone', 'air_l_min' => $between(40, 600), 'depth_m' => 1]],
                    'stages' => $stages,
                ],
            ];
        }
    }

    #[DataProvider('systems')]
    public function test_nitrogen_is_conserved_where_it_settles(array $system): void
    {
        $result = $this->calculate('filter.balance', $system);
        if ($result->figures['tan_mg_l'] === null) {
            self::assertLessThan(
                $result->number('load_g_d'),
                $result->number('capacity_g_d'),
                'only what is past every limit never settles',
            );

            return;
        }
        $load = $result->number('load_g_d');
        self::assertEqualsWithDelta(
            0.0,
            ($load - $result->number('nitrified_g_d') - $result->number('changed_g_d')) / $load,
            1e-9,
        );
        self::assertGreaterThanOrEqual(0.0, $result->number('nitrified_g_d'));
        $fraction = UnionisedAmmonia::of(1.0, $system['ph'], $system['temp_c'])->fraction;
        self::assertEqualsWithDelta($fraction * $result->number('tan_mg_l'), $result->number('nh3_n_mg_l'), 1e-12);
    }

    #[DataProvider('systems')]
    public function test_capacity_never_rises_as_water_cools_oxygen_falls_surface_shrinks_or_dirt_gathers(
        array $system,
    ): void {
        $water = [
            'temp_c' => $system['temp_c'],
            'ph' => $system['ph'],
            'alkalinity_mg_l' => $system['alkalinity_mg_l'],
            'do_in_mg_l' => 6.5,
            'tan_mg_l' => 0.4,
            'stages' => $system['stages'],
        ];
        $as = fn(array $change, ?\Closure $stage = null): float => $this->figure(
            'filter.capacity',
            [
                ...$water,
                ...$change,
                'stages' => array_map($stage ?? static fn(array $s): array => $s, $water['stages']),
            ],
            'total_g_d',
        );
        $now = $as([]);
        $slack = 1e-9 + 1e-9 * $now;
        self::assertLessThanOrEqual($now + $slack, $as(['temp_c' => $water['temp_c'] - 4]));
        self::assertLessThanOrEqual($now + $slack, $as(['do_in_mg_l' => 4.0]));
        self::assertLessThanOrEqual(
            $now + $slack,
            $as([], static fn(array $s): array => ['media_l' => 0.7 * $s['media_l']] + $s),
        );
        self::assertLessThanOrEqual(
            $now + $slack,
            $as([], static fn(array $s): array => ['fouling_pct' => min(100, $s['fouling_pct'] + 30)] + $s),
        );
        $flow = $this->figure('filter.capacity', $water, 'flow_l_h');
        self::assertLessThanOrEqual((($flow * 24) / 1000) * 0.4 + $slack, $now);
    }

    public function test_three_capacities_stand_apart_and_what_lives_there_now_is_the_lesser(): void
    {
        $grown = $this->calculate('filter.balance', self::HOUSE);
        self::assertLessThan($grown->number('capacity_g_d'), $grown->number('capacity_now_g_d'));
        self::assertGreaterThan($grown->number('capacity_g_d'), $grown->number('capacity_flow_oxygen_g_d'));
        $young = $this->calculate('filter.balance', [...self::HOUSE, 'active_pct' => 30]);
        self::assertEqualsWithDelta($grown->number('capacity_g_d'), $young->number('capacity_g_d'), 1e-9);
        self::assertLessThan(0.5 * $grown->number('capacity_now_g_d'), $young->number('capacity_now_g_d'));
        self::assertLessThan(0.0, $young->number('spare_now_pct'));
        self::assertGreaterThan(0.0, $young->number('spare_pct'));
    }

    public function test_headroom_is_the_load_at_which_the_limit_is_just_reached(): void
    {
        $result = $this->calculate('filter.balance', self::HOUSE);
        $rows = array_column($result->figures['headroom_grown'], null, 'limit');
        // Oxygen was measured under the present load: it is held to what holds it, so that more fish lower it.
        $devices = [
            'surface_m2' => 10,
            'devices' => [['kind' => 'stone', 'air_l_min' => 260, 'depth_m' => 1]],
            'do_mg_l' => null,
        ];
        $bound = $this->calculate('filter.balance', [...self::HOUSE, ...$devices]);
        foreach ($bound->figures['headroom_grown'] as $row) {
            $full = $this->calculate('filter.balance', [
                ...self::HOUSE,
                ...$devices,
                'feed_g_d' => 220 + $row['feed_g_d'],
            ]);
            match ($row['limit']) {
                'ammonia' => self::assertEqualsWithDelta(0.25, $full->number('tan_mg_l'), 0.003),
                'unionised_ammonia' => self::assertEqualsWithDelta(0.02, $full->number('nh3_n_mg_l'), 0.0005),
                'oxygen' => self::assertEqualsWithDelta(6.0, $full->number('do_mg_l'), 0.01),
                'alkalinity' => self::assertEqualsWithDelta(36.0, $full->number('alkalinity_fall_mg_l_w'), 0.1),
            };
        }
        self::assertSame('ammonia', $result->figures['first']);
        self::assertSame(floor($rows['ammonia']['kg'] / 1.875), $rows['ammonia']['fish']);
        self::assertArrayNotHasKey('nitrate', $rows, 'without any change there is no level to speak of');
        $changed = array_column(
            $this->calculate('filter.balance', [...self::HOUSE, 'change_l_d' => 3000, 'source_no3_n_mg_l' => 3])
                ->figures['headroom_grown'],
            null,
            'limit',
        );
        self::assertArrayHasKey('nitrate', $changed);
    }

    public function test_what_is_past_a_limit_is_told_as_what_must_go(): void
    {
        $result = $this->calculate('filter.balance', [...self::HOUSE, 'feed_g_d' => 900, 'do_mg_l' => 6.5]);
        $row = array_column($result->figures['headroom_grown'], null, 'limit')['ammonia'];
        self::assertLessThan(0.0, $row['feed_g_d']);
        $less = $this->figure(
            'filter.balance',
            [...self::HOUSE, 'feed_g_d' => 900 + $row['feed_g_d'], 'do_mg_l' => 6.5],
            'tan_mg_l',
        );
        self::assertEqualsWithDelta(0.25, $less, 0.03);
        self::assertSame([], $result->figures['steps']);
    }

    public function test_a_load_no_filter_takes_never_settles_and_says_so(): void
    {
        $result = $this->calculate('filter.balance', [...self::HOUSE, 'feed_g_d' => 30000, 'do_mg_l' => 6]);
        self::assertNull($result->figures['tan_mg_l']);
        self::assertSame('filter.balance_filter_cannot_take_load', $result->cautions[0]->message->code);
    }

    public function test_one_stage_off_settles_higher_and_the_bed_matters_most(): void
    {
        $result = $this->calculate('filter.balance', self::HOUSE);
        [$brush, $bed] = $result->figures['stages_off'];
        self::assertGreaterThan($result->number('tan_mg_l'), $brush['tan_mg_l']);
        self::assertGreaterThan($brush['tan_mg_l'], $bed['tan_mg_l'] ?? INF);
    }

    /**
     * By hand: 30 % of 260 m² × 0.45 … is not needed; the colony's own equations are followed in small steps instead.
     */
    public function test_a_colony_settles_where_growth_meets_decay_and_shrinks_slowly_when_it_starves(): void
    {
        $colony = new Colony(40.0, 0.3, 25.0);
        foreach ([1.0, 4.0, 8.0] as $load) {
            $share = $colony->settles($load);
            $effort = $load / (40.0 * $share);
            self::assertEqualsWithDelta(0.0, 0.477 * $effort * (1 - $share) - 0.015, 1e-12);
            self::assertEqualsWithDelta($share, $colony->after($share, $load, 30.0), 1e-3);
        }
        // Unfed it dies by 0.05 a day at 20 °C, 0.077 at 25: half in 9 days.
        self::assertEqualsWithDelta(0.4, $colony->after(0.8, 0.0, log(2) / 0.077), 1e-6);
        // From a tenth of what is needed it grows within weeks, and steps never pass what lives there.
        self::assertGreaterThan(0.5, $colony->after(0.02, 8.0, 40.0));
        $share = 0.15;
        $steps = $colony->steps($share, 1.5, 9.0);
        self::assertGreaterThan(1, count($steps));
        self::assertEqualsWithDelta(9.0, end($steps)['load_g_d'], 1e-9);
        $day = 0.0;
        $load = 1.5;
        foreach ($steps as $step) {
            for (; $day < $step['day']; $day++) {
                $share = $colony->after($share, $load, 1.0);
            }
            self::assertLessThanOrEqual($colony->takes($share) + 1e-9, $step['load_g_d']);
            $load = $step['load_g_d'];
        }
    }

    public function test_nonsense_is_refused_at_its_field(): void
    {
        self::assertSame(
            ['biomass_kg', 'protein_pct', 'temp_c'],
            array_keys(
                $this->errors('filter.balance', [
                    ...self::HOUSE,
                    'biomass_kg' => -1,
                    'protein_pct' => 380,
                    'temp_c' => 60,
                ]),
            ),
        );
    }

    public function test_nitrate_alone_is_changed_away_and_nothing_else_is(): void
    {
        $row = static fn(string $limit, float $kg): array => [
            'limit' => $limit,
            'feed_g_d' => null,
            'kg' => $kg,
            'fish' => $kg,
        ];
        self::assertTrue(Headroom::changedAway([$row('ammonia', 3), $row('nitrate', -2)]));
        self::assertFalse(Headroom::changedAway([$row('ammonia', -1), $row('nitrate', -2)]));
        self::assertFalse(Headroom::changedAway([$row('ammonia', 3), $row('nitrate', 0)]));
    }
}
