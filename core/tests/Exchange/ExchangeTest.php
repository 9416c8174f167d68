<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

/** Water changed, trickled, blended and made safe: against closed forms, scipy, and arithmetic by hand. */
final class ExchangeTest extends TestCase
{
    use Calculations;

    private const TUB = [
        'volume_l' => 1000,
        'now' => ['no3_n_mg_l' => 10, 'temp_c' => 20],
        'source' => ['no3_n_mg_l' => 2, 'temp_c' => 10],
    ];

    public function test_one_change_drains_first_and_two_of_a_quarter_are_not_a_half(): void
    {
        $after = $this->calculate('exchange.batch', [...self::TUB, 'change_l' => 250])->figures['after'];
        self::assertEqualsWithDelta(['no3_n_mg_l' => 8.0, 'temp_c' => 17.5], $after, 1e-12);
        $twice = $this->calculate('exchange.series', [...self::TUB, 'change_pct' => 25, 'changes' => 2]);
        self::assertEqualsWithDelta(43.75, $twice->number('exchanged_pct'), 1e-12);
        self::assertEqualsWithDelta(10 * 0.5625 + 2 * 0.4375, $twice->figures['after']['no3_n_mg_l'], 1e-12);
    }

    public function test_what_cannot_be_changed_is_refused_at_its_field(): void
    {
        self::assertSame(['change_l'], array_keys($this->errors('exchange.batch', [...self::TUB, 'change_l' => 1001])));
        self::assertSame(
            ['change_pct'],
            array_keys($this->errors('exchange.batch', [...self::TUB, 'change_pct' => 101])),
        );
        self::assertSame(['change_l'], array_keys($this->errors('exchange.batch', self::TUB)));
        self::assertSame(
            ['now.no3_n_mg_l'],
            array_keys(
                $this->errors('exchange.batch', [
                    'source' => ['no3_n_mg_l' => 1, 'temp_c' => 4],
                    'now' => ['temp_c' => 5],
                    'volume_l' => 10,
                    'change_pct' => 5,
                ]),
            ),
        );
        self::assertSame(
            ['now.ph'],
            array_keys(
                $this->errors('exchange.batch', [
                    'source' => ['ph' => 8],
                    'now' => ['ph' => 7],
                    'volume_l' => 10,
                    'change_pct' => 5,
                ]),
            ),
        );
        self::assertSame(
            ['now.smell'],
            array_keys(
                $this->errors('exchange.batch', [
                    'source' => [],
                    'now' => ['smell' => 5],
                    'volume_l' => 10,
                    'change_pct' => 5,
                ]),
            ),
        );
        self::assertSame(
            ['changes'],
            array_keys($this->errors('exchange.series', [...self::TUB, 'change_pct' => 5, 'changes' => 1.5])),
        );
        self::assertStringContainsString(
            'Cool it first',
            $this->calculate('exchange.batch', [
                'volume_l' => 100,
                'change_pct' => 5,
                'now' => ['temp_c' => 18],
                'source' => ['temp_c' => 27],
            ])->cautions[0]->text,
        );
    }

    public function test_ph_follows_from_carbon_and_alkalinity_and_not_from_its_mean(): void
    {
        $water = static fn(float $ph, float $alkalinity): array => [
            'ph' => $ph,
            'alkalinity_mg_l' => $alkalinity,
            'temp_c' => 18,
        ];
        $half = $this->calculate('exchange.batch', [
            'volume_l' => 100,
            'change_pct' => 50,
            'now' => $water(6.4, 20),
            'source' => $water(7.8, 200),
        ])->figures['after'];
        self::assertGreaterThan(7.1, $half['ph'], 'the well buffered water decides');
        $same = $this->calculate('exchange.batch', [
            'volume_l' => 100,
            'change_pct' => 40,
            'now' => $water(7.5, 90),
            'source' => $water(7.5, 90),
        ])->figures['after'];
        self::assertEqualsWithDelta(7.5, $same['ph'], 1e-6);
    }

    /** Closed form against numerical integration by scipy, core/tests/reference/exchange_scipy.py. */
    public function test_a_trickle_follows_its_differential_equation(): void
    {
        $cases = [
            [20, 3, 5, 154, 9000, 30],
            [3, 14, 0, 2000, 4000, 5],
            [0.5, 0, 8, 50, 600, 90],
            [8, 2, 1.5, 0.5, 29000, 365],
        ];
        $expected = Reference::python(
            'exchange_scipy.py',
            array_map(static fn(array $case): string => implode(' ', $case), $cases),
        );
        foreach ($cases as $i => [$now, $source, $made, $perDay, $volume, $days]) {
            $result = $this->calculate('exchange.trickle', [
                'volume_l' => $volume,
                'flow_l_h' => $perDay / 24,
                'now' => ['no3_n_mg_l' => $now],
                'source' => ['no3_n_mg_l' => $source],
                'production_g_d' => ['no3_n_mg_l' => $made],
                'days' => $days,
            ]);
            self::assertEqualsWithDelta(1.0, $result->figures['after']['no3_n_mg_l'] / $expected[$i], 1e-8);
            self::assertEqualsWithDelta(
                $source + (1000 * $made) / $perDay,
                $result->figures['steady']['no3_n_mg_l'],
                1e-9,
            );
        }
    }

    public function test_a_trickle_in_the_keepers_own_measures(): void
    {
        $tenth = $this->calculate('exchange.trickle', [
            'volume_l' => 10000,
            'pct_per_week' => 10,
            'now' => ['no3_n_mg_l' => 10],
            'source' => ['no3_n_mg_l' => 2],
            'days' => 7,
        ]);
        self::assertEqualsWithDelta(0.0992, $tenth->number('flow_l_min'), 5e-5);
        self::assertEqualsWithDelta(60 / 0.0992063, $tenth->number('jug_s'), 0.01);
        self::assertEqualsWithDelta(
            63.2,
            $this->figure(
                'exchange.trickle',
                [
                    'volume_l' => 500,
                    'pct_per_week' => 100,
                    'now' => ['no3_n_mg_l' => 10],
                    'source' => ['no3_n_mg_l' => 2],
                    'days' => 7,
                ],
                'exchanged_pct',
            ),
            0.02,
        );
        $none = $this->calculate('exchange.trickle', [
            'volume_l' => 1000,
            'flow_l_h' => 0,
            'now' => ['no3_n_mg_l' => 10],
            'source' => ['no3_n_mg_l' => 2],
            'production_g_d' => ['no3_n_mg_l' => 2],
            'days' => 5,
        ]);
        self::assertNull($none->figures['steady']);
        self::assertNull($none->figures['half_life_d']);
        self::assertEqualsWithDelta(20.0, $none->figures['after']['no3_n_mg_l'], 1e-12);
        self::assertSame(
            ['now.temp_c'],
            array_keys($this->errors('exchange.trickle', [...self::TUB, 'flow_l_h' => 5])),
        );
    }

    public function test_a_programme_keeps_within_the_limits_of_a_day_and_reaches_its_goal_in_the_fewest_changes(): void
    {
        $plan = $this->calculate('exchange.plan', [
            'volume_l' => 1000,
            'now' => ['no3_n_mg_l' => 22, 'temp_c' => 18],
            'source' => ['no3_n_mg_l' => 3, 'temp_c' => 11],
            'target' => ['no3_n_mg_l' => 7],
            'max_change_per_day' => ['no3_n_mg_l' => 6, 'temp_c' => 2],
            'fill_l_min' => 10,
        ]);
        self::assertTrue($plan->figures['reachable']);
        $water = ['no3_n_mg_l' => 22.0, 'temp_c' => 18.0];
        foreach ($plan->figures['steps'] as $step) {
            self::assertLessThanOrEqual(6 + 1e-9, abs($step['after']['no3_n_mg_l'] - $water['no3_n_mg_l']));
            self::assertLessThanOrEqual(2 + 1e-9, abs($step['after']['temp_c'] - $water['temp_c']));
            self::assertEqualsWithDelta($step['change_l'] / 10, $step['minutes'], 1e-9);
            $water = $step['after'];
        }
        self::assertEqualsWithDelta(7.0, $water['no3_n_mg_l'], 1e-9);
        // With room for half at a time: 22 → 12.5 → 7.75 → 7, three.
        // The whole exchanged as a trickle: 3 + 19 e^(-litres/volume).
        self::assertEqualsWithDelta(
            3 + 19 * exp(-$plan->number('total_l') / 1000),
            $plan->figures['trickle_after']['no3_n_mg_l'],
            1e-9,
        );
        $free = $this->calculate('exchange.plan', [
            'volume_l' => 1000,
            'now' => ['no3_n_mg_l' => 22],
            'source' => ['no3_n_mg_l' => 3],
            'target' => ['no3_n_mg_l' => 7],
        ]);
        self::assertCount(3, $free->figures['steps']);
        $up = $this->calculate('exchange.plan', [
            'volume_l' => 1000,
            'now' => ['alkalinity_mg_l' => 40],
            'source' => ['alkalinity_mg_l' => 196],
            'target' => ['alkalinity_mg_l' => 100],
        ]);
        self::assertEqualsWithDelta(100.0, $up->figures['after']['alkalinity_mg_l'], 1e-9);
    }

    public function test_a_goal_past_the_new_water_is_refused_with_the_reason_and_what_would_help(): void
    {
        $plan = $this->calculate('exchange.plan', [
            'volume_l' => 1000,
            'now' => ['no3_n_mg_l' => 12],
            'source' => ['no3_n_mg_l' => 9],
            'target' => ['no3_n_mg_l' => 5],
        ]);
        self::assertFalse($plan->figures['reachable']);
        self::assertStringContainsString('Blend with', $plan->figures['reason']);
        self::assertFalse(
            $this->calculate('exchange.plan', [
                'volume_l' => 1000,
                'now' => ['no3_n_mg_l' => 12, 'temp_c' => 20],
                'source' => ['no3_n_mg_l' => 2, 'temp_c' => 10],
                'target' => ['no3_n_mg_l' => 5],
                'max_change_per_day' => ['temp_c' => 0],
            ])->figures['reachable'],
        );
        self::assertSame(
            ['now.hardness_mg_l'],
            array_keys(
                $this->errors('exchange.plan', [
                    'volume_l' => 1000,
                    'now' => ['no3_n_mg_l' => 12],
                    'source' => ['no3_n_mg_l' => 2],
                    'target' => ['hardness_mg_l' => 5],
                ]),
            ),
        );
    }

    public function test_waters_are_blended_to_a_goal_or_as_near_as_they_come(): void
    {
        $parts = static fn(array $figures): array => array_column($figures['parts'], 'share_pct');
        $two = $this->calculate('exchange.blend', [
            'sources' => [['name' => 'RO', 'hardness_mg_l' => 0], ['name' => 'Tap', 'hardness_mg_l' => 200]],
            'target' => ['hardness_mg_l' => 80],
            'volume_l' => 500,
        ]);
        self::assertEqualsWithDelta([60.0, 40.0], $parts($two->figures), 1e-9);
        self::assertEqualsWithDelta(300.0, $two->figures['parts'][0]['litres'], 1e-9);
        // Three waters, two goals: 0.2, 0.5, 0.3 by construction.
        $sources = [
            ['alkalinity_mg_l' => 0, 'no3_n_mg_l' => 0.2],
            ['alkalinity_mg_l' => 196, 'no3_n_mg_l' => 3.2],
            ['alkalinity_mg_l' => 160, 'no3_n_mg_l' => 5.0],
        ];
        $three = $this->calculate('exchange.blend', [
            'sources' => $sources,
            'target' => ['alkalinity_mg_l' => 0.5 * 196 + 0.3 * 160, 'no3_n_mg_l' => 0.04 + 1.6 + 1.5],
        ]);
        self::assertEqualsWithDelta([20.0, 50.0, 30.0], $parts($three->figures), 1e-6);
        self::assertTrue($three->figures['reached']);
        $far = $this->calculate('exchange.blend', ['sources' => $sources, 'target' => ['alkalinity_mg_l' => 400]]);
        self::assertFalse($far->figures['reached']);
        self::assertEqualsWithDelta([0.0, 100.0, 0.0], $parts($far->figures), 1e-9);
    }

    /** Molar masses of IUPAC 2007: 2 × 248.18 / 70.906 = 7.00 and 14.007 / 70.906 = 0.1975. */
    public function test_chlorine_is_bound_by_thiosulfate_and_chloramine_leaves_its_ammonia(): void
    {
        $free = $this->calculate('exchange.dechlorinate', ['volume_l' => 1000, 'chlorine_mg_l' => 1, 'kind' => 'free']);
        self::assertEqualsWithDelta(7.0, $free->number('thiosulfate_g'), 0.002);
        self::assertSame(0.0, $free->number('tan_released_mg_l'));
        self::assertEqualsWithDelta(
            0.1975,
            $this->figure(
                'exchange.dechlorinate',
                ['volume_l' => 1000, 'chlorine_mg_l' => 1, 'kind' => 'chloramine'],
                'tan_released_mg_l',
            ),
            5e-5,
        );
        // A label is a floor: as much as it says for so much water, and more for more chlorine than it holds.
        foreach ([[0.6, 50.0], [1.0, 50.0], [1.5, 75.0]] as [$chlorine, $ml]) {
            $label = ['label_ml' => 10, 'label_treats_l' => 100, 'label_chlorine_mg_l' => 1];
            self::assertEqualsWithDelta(
                $ml,
                $this->figure(
                    'exchange.dechlorinate',
                    ['volume_l' => 500, 'chlorine_mg_l' => $chlorine, 'kind' => 'free', ...$label],
                    'conditioner_ml',
                ),
                1e-9,
                "{$chlorine} mg/L",
            );
        }
    }

    public function test_a_carbon_bed_is_outrun_by_a_fast_fill_and_sooner_by_chloramine(): void
    {
        $bed = ['bed_l' => 10, 'trickle_l_min' => 5, 'fast_l_min' => 20, 'treated_l' => 40000, 'rated_l' => 112000];
        $free = $this->calculate('exchange.carbon', $bed);
        self::assertEqualsWithDelta(
            [2.0, 0.5],
            [$free->number('contact_trickle_min'), $free->number('contact_fast_min')],
            1e-12,
        );
        self::assertSame([true, false], [$free->figures['enough_trickle'], $free->figures['enough_fast']]);
        self::assertEqualsWithDelta(10.0, $free->number('days_left'), 1e-9);
        self::assertFalse(
            $this->calculate('exchange.carbon', [...$bed, 'kind' => 'chloramine'])->figures['enough_trickle'],
        );
    }

    /**
     * Boyd & Tucker (1998), Pond Aquaculture Water Quality Management, and Snoeyink & Jenkins (1980), Water Chemistry,
     * both from memory: 1.68 mg of sodium bicarbonate to a mg of alkalinity; a mole of bicarbonate brings one
     * equivalent and one mole of carbon, a mole of soda two equivalents with one, so soda lifts pH further.
     */
    public function test_a_textbook_pond_is_limed_with_bicarbonate(): void
    {
        // 4,000 m³ from 20 to 60 mg/L of alkalinity: 4,000 × 40 × 1.68 = 268.8 kg.
        $pond = [
            'volume_l' => 4e6,
            'alkalinity_mg_l' => 20,
            'target_alkalinity_mg_l' => 60,
            'ph' => 7.0,
            'temp_c' => 25,
        ];
        self::assertEqualsWithDelta(
            268800,
            $this->figure('carbonate.buffer', ['agent' => 'sodium_bicarbonate'] + $pond, 'dose_g'),
            300,
        );
        self::assertEqualsWithDelta(
            4000 * 40 * 1.06,
            $this->figure('carbonate.buffer', ['agent' => 'sodium_carbonate'] + $pond, 'dose_g'),
            200,
        );
        self::assertGreaterThan(
            1.0,
            $this->figure('carbonate.buffer', ['agent' => 'sodium_carbonate'] + $pond, 'ph_after') -
                $this->figure('carbonate.buffer', ['agent' => 'sodium_bicarbonate'] + $pond, 'ph_after'),
        );
    }

    /**
     * 1,000 L up 1 dKH needs 29.96 g of bicarbonate by molar masses; the keepers' rule is 30 g (common practice, no
     * source).
     */
    public function test_buffering_by_weight_and_what_it_does_to_ph_and_ammonia(): void
    {
        $water = [
            'volume_l' => 1000,
            'alkalinity_mg_l' => 50,
            'target_alkalinity_mg_l' => 67.848,
            'agent' => 'sodium_bicarbonate',
            'ph' => 7.2,
            'temp_c' => 20,
        ];
        $mild = $this->calculate('carbonate.buffer', $water);
        self::assertEqualsWithDelta(29.96, $mild->number('dose_g'), 0.01);
        self::assertCount(1, $mild->figures['steps']);
        self::assertEqualsWithDelta(7.3, $mild->number('ph_after'), 0.06);
        $soda = $this->calculate('carbonate.buffer', ['agent' => 'sodium_carbonate'] + $water);
        self::assertEqualsWithDelta(17.848 * 1.059, $soda->number('dose_g'), 0.01);
        self::assertGreaterThan($mild->number('ph_after'), $soda->number('ph_after'));
        $steps = $this->calculate('carbonate.buffer', [...$water, 'target_alkalinity_mg_l' => 150]);
        self::assertCount(3, $steps->figures['steps']);
        self::assertEqualsWithDelta($steps->number('dose_g'), array_sum($steps->figures['steps']), 1e-9);
        $burning = $this->calculate('carbonate.buffer', [...$water, 'tan_mg_l' => 1.5]);
        self::assertSame('danger', $burning->cautions[0]->level->value);
        self::assertGreaterThan($burning->number('nh3_n_now_mg_l'), $burning->number('nh3_n_after_mg_l'));
        self::assertSame(
            ['target_alkalinity_mg_l'],
            array_keys($this->errors('carbonate.buffer', [...$water, 'target_alkalinity_mg_l' => 40])),
        );
        foreach (
            [
                'calcium_chloride_dihydrate' => 1.4689,
                'calcium_chloride' => 1.1089,
                'magnesium_sulfate_heptahydrate' => 2.4626,
                'calcium_sulfate_dihydrate' => 1.7202,
            ]
            as $agent => $factor
        ) {
            self::assertEqualsWithDelta(
                $factor,
                $this->figure(
                    'hardness.dose',
                    ['volume_l' => 1000, 'hardness_mg_l' => 0, 'target_hardness_mg_l' => 1, 'agent' => $agent],
                    'dose_g',
                ),
                5e-5,
            );
        }
    }

    /** By arithmetic: −5 °C all round would bring it to rest at −5; it stays at 0 until it has frozen. */
    public function test_water_at_rest_does_not_cool_below_freezing_and_cools_by_its_own_time(): void
    {
        $vat = [
            'volume_l' => 1000,
            'temp_c' => 10,
            'air_c' => -5,
            'surface_m2' => 1,
            'walls_m2' => 4,
        ];
        self::assertSame(0.0, $this->figure('exchange.heat_balance', $vat, 'without_heater_c'));
        // 20 W/K of surface and 3 of plastic wall a square metre: τ = 4186 · 1000 / all, 10 → 4 °C under 0 °C.
        $still = [...$vat, 'air_c' => 0];
        $all = $this->figure('exchange.heat_balance', $still, 'needed_w') / 10;
        self::assertEqualsWithDelta(
            ((4186 * 1000) / $all / 3600) * log(10 / 4),
            $this->figure('exchange.heat_balance', [...$still, 'to_c' => 4], 'hours_to_c'),
            1e-6,
        );
        self::assertNull(
            $this->calculate('exchange.heat_balance', [...$still, 'to_c' => 12])->figures['hours_to_c'],
            'it does not warm by itself',
        );
    }
}
