<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Dose;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\Adsorption;
use Ironwort\Core\Dose\ChloramineT;
use Ironwort\Core\Dose\Clearing;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\CoursePlan;
use Ironwort\Core\Dose\Fading;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\Seeding;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

/** Doses against published rules, stoichiometry and arithmetic by hand; and what must never meet. */
final class DoseTest extends TestCase
{
    use Calculations;

    private const WATER = [
        'volume_l' => 1000,
        'temp_c' => 18,
        'ph' => 7.6,
        'alkalinity_mg_l' => 120,
        'hardness_mg_l' => 150,
        'do_mg_l' => 8,
    ];

    private function treat(string $agent, array $more = []): \Ironwort\Core\Calc\Result
    {
        return $this->calculate('dose.treatment', [...self::WATER, 'agent' => $agent, ...$more]);
    }

    /** Exhaustive: every pair of agents and things has a verdict with a reason, the same either way round. */
    public function test_no_pair_is_undecided(): void
    {
        $conflicts = new Conflicts(Library::shipped()->agents());
        foreach ($conflicts->things() as $one) {
            foreach ($conflicts->things() as $other) {
                $verdict = $conflicts->pair($one, $other);
                self::assertNotSame('', $verdict->reason->code);
                self::assertEquals($verdict, $conflicts->pair($other, $one), "{$one} and {$other}");
            }
        }
        foreach (
            [
                ['salt', 'zeolite'],
                ['formalin', 'potassium_permanganate'],
                ['hydrogen_peroxide', 'chloramine_t'],
                ['potassium_permanganate', 'hydrogen_peroxide'],
                ['binder', 'chloramine_t'],
            ]
            as [$one, $other]
        ) {
            self::assertSame('refused', $conflicts->pair($one, $other)->verdict->value, "{$one} and {$other}");
        }
        self::assertSame('conditions', $conflicts->pair('praziquantel', 'carbon')->verdict->value);
        self::assertSame('allowed', $conflicts->pair('salt', 'uv')->verdict->value);
    }

    public function test_a_refusal_comes_before_any_number(): void
    {
        foreach (
            [
                ['salt', ['zeolite_in' => true], 'dose.salt_with_zeolite'],
                ['copper_sulfate', ['alkalinity_mg_l' => 40], 'dose.copper_in_soft_water'],
                ['copper_sulfate', ['alkalinity_mg_l' => null], 'dose.copper_needs_alkalinity'],
                ['formalin', ['present' => ['potassium_permanganate']], 'dose.formalin_with_permanganate'],
                ['formalin', ['do_mg_l' => 4], 'dose.oxygen_low'],
                ['formalin', ['temp_c' => 29], 'dose.too_warm'],
                ['chloramine_t', ['ph' => 5.8], 'dose.chloramine_t_in_acid_water'],
                ['chloramine_t', ['hardness_mg_l' => null], 'dose.chloramine_t_needs_ph_and_hardness'],
                ['methylene_blue', ['filter_seeding' => true, 'way' => 'bath'], 'dose.methylene_blue_while_seeding'],
            ]
            as [$agent, $state, $reason]
        ) {
            $result = $this->treat($agent, $state);
            self::assertTrue($result->figures['refused'], $agent);
            self::assertNull($result->figures['dose'], $agent);
            self::assertContains($reason, $result->figures['codes'], $agent);
        }
        self::assertFalse(
            $this->calculate('dose.conflicts', ['agent' => 'zeolite', 'temp_c' => 18, 'salinity_g_l' => 2])->figures[
                'allowed'
            ],
            'salt is in the water',
        );
    }

    public function test_borderline_water_is_allowed_on_conditions_and_a_way_that_there_is_not_is_refused(): void
    {
        $codes = fn(string $agent, array $water): array => $this->treat($agent, $water)->figures['codes'];
        self::assertContains('dose.oxygen_short', $codes('formalin', ['do_mg_l' => 6.0]));
        self::assertContains('dose.warm', $codes('formalin', ['temp_c' => 26]));
        self::assertContains('dose.oxygen_unknown', $codes('formalin', ['do_mg_l' => null]));
        self::assertContains(
            'dose.chloramine_t_in_soft_water',
            $codes('chloramine_t', ['ph' => 6.6, 'hardness_mg_l' => 30]),
        );
        // Cross & Hursey 1973, from memory: soft at pH 6.5 to 7 stands at 5 mg/L.
        self::assertEqualsWithDelta(
            5,
            $this->treat('chloramine_t', ['ph' => 6.6, 'hardness_mg_l' => 30])->number('dose_mg_l'),
            1e-9,
        );
        self::assertContains('dose.uv_off', $codes('praziquantel', ['uv_on' => true]));
        foreach (
            [['hydrogen_peroxide', 'prolonged'], ['praziquantel', 'bath'], ['formalin', 'dip']]
            as [$agent, $way]
        ) {
            self::assertArrayHasKey(
                'way',
                $this->errors('dose.treatment', [
                    ...self::WATER,
                    'agent' => $agent,
                    'way' => $way,
                    'strength_pct' => 12,
                ]),
                "{$agent} {$way}",
            );
        }
        self::assertSame(
            ['label_treats_l'],
            array_keys($this->errors('dose.treatment', [...self::WATER, 'agent' => 'own', 'label_ml' => 10])),
        );
    }

    /**
     * UF/IFAS VM77, from memory: µL/L of the 37 % solution as sold, never of formaldehyde; 250 for an hour, 150 above
     * 21 °C.
     */
    public function test_formalin_is_measured_as_it_is_sold(): void
    {
        self::assertEqualsWithDelta(15.0, $this->treat('formalin')->number('dose'), 1e-9);
        self::assertSame('mL', $this->treat('formalin')->figures['dose_unit']);
        self::assertEqualsWithDelta(25.0, $this->treat('formalin', ['dose_mg_l' => 25])->number('dose'), 1e-9);
        self::assertEqualsWithDelta(
            25 / 5,
            $this->treat('formalin', ['dose_mg_l' => 25])->number('oxygen_cost_mg_l'),
            1e-9,
        );
        self::assertEqualsWithDelta(
            (15 * 37) / 40,
            $this->treat('formalin', ['strength_pct' => 40])->number('dose'),
            1e-9,
        );
        self::assertSame(
            ['dose_mg_l'],
            array_keys(
                $this->errors('dose.treatment', [
                    ...self::WATER,
                    'agent' => 'formalin',
                    'way' => 'bath',
                    'dose_mg_l' => 250,
                    'temp_c' => 23,
                ]),
            ),
        );
        self::assertEqualsWithDelta(
            250.0,
            $this->treat('formalin', ['way' => 'bath', 'dose_mg_l' => 250])->number('dose'),
            1e-9,
        );
    }

    /**
     * SRAC 410, from memory: total alkalinity / 100, at most 2.5. Cross & Hursey 1973, from memory: between rows the
     * lower.
     */
    public function test_copper_follows_alkalinity_and_chloramine_t_the_table(): void
    {
        self::assertEqualsWithDelta(1.2, $this->treat('copper_sulfate')->number('dose'), 1e-9);
        self::assertEqualsWithDelta(
            2.5,
            $this->treat('copper_sulfate', ['alkalinity_mg_l' => 300])->number('dose'),
            1e-9,
        );
        self::assertSame(
            ['dose_mg_l'],
            array_keys(
                $this->errors('dose.treatment', [...self::WATER, 'agent' => 'copper_sulfate', 'dose_mg_l' => 1.3]),
            ),
        );
        foreach (
            [
                [6.0, 20, 2.5],
                [6.0, 100, 7],
                [6.6, 20, 5],
                [6.9, 100, 10],
                [7.0, 20, 10],
                [7.2, 100, 15],
                [7.5, 20, 18],
                [8.4, 100, 20],
            ]
            as [$ph, $hardness, $dose]
        ) {
            self::assertSame((float) $dose, ChloramineT::dose($ph, $hardness), "pH {$ph}, {$hardness}");
        }
    }

    public function test_a_course_repeats_by_temperature_and_an_own_agent_goes_by_its_label(): void
    {
        $days = fn(float $temp): array => array_column(
            $this->treat('praziquantel', ['temp_c' => $temp])->figures['course'],
            'day',
        );
        self::assertSame([0.0, 14.0, 28.0], $days(9));
        self::assertSame([0.0, 5.0, 10.0], $days(24));
        self::assertEqualsWithDelta(2.5, $this->treat('praziquantel')->number('dose'), 1e-9);
        self::assertEqualsWithDelta(
            50.0,
            $this->treat('own', ['label_ml' => 10, 'label_treats_l' => 200])->number('dose'),
            1e-9,
        );
        self::assertSame(['label_ml'], array_keys($this->errors('dose.treatment', [...self::WATER, 'agent' => 'own'])));
        self::assertSame(
            ['strength_pct'],
            array_keys(
                $this->errors('dose.treatment', [...self::WATER, 'agent' => 'hydrogen_peroxide', 'way' => 'bath']),
            ),
        );
        self::assertEqualsWithDelta(
            50 / 0.03,
            $this->treat('hydrogen_peroxide', ['way' => 'bath', 'strength_pct' => 3])->number('dose'),
            1e-6,
        );
        self::assertSame(
            ['agent'],
            array_keys($this->errors('dose.treatment', [...self::WATER, 'agent' => 'malachite_green'])),
        );
    }

    /**
     * Durborow, Crosby & Brunson 1997, SRAC 462: 4 and 15 mg/L ask for 112.5 lb an acre-foot, 41.4 mg/L; 41.2
     * exactly.
     */
    public function test_salt_against_nitrite_agrees_with_the_published_rule(): void
    {
        $guard = $this->calculate('dose.chloride_guard', [
            'volume_l' => 1000,
            'no2_n_mg_l' => 4,
            'chloride_mg_l' => 15,
        ]);
        self::assertEqualsWithDelta(112.5, $guard->number('rule_lb_per_acre_ft'), 1e-9);
        self::assertEqualsWithDelta(41.4, $guard->number('rule_mg_l'), 0.05);
        self::assertEqualsWithDelta(41.2, $guard->number('salt_mg_l'), 0.05);
        self::assertSame(
            0.0,
            $this->figure(
                'dose.chloride_guard',
                ['volume_l' => 1000, 'no2_n_mg_l' => 1, 'chloride_mg_l' => 50],
                'salt_g',
            ),
        );
    }

    public function test_salt_goes_up_in_steps_and_never_down(): void
    {
        $salt = $this->calculate('dose.salt', ['volume_l' => 600, 'now_g_l' => 1, 'target_g_l' => 4, 'steps' => 3]);
        self::assertEqualsWithDelta([1800.0, 600.0], [$salt->number('total_g'), $salt->number('step_g')], 1e-9);
        self::assertSame([0.0, 12.0, 24.0], array_column($salt->figures['schedule'], 'hour'));
        self::assertSame(
            ['target_g_l'],
            array_keys($this->errors('dose.salt', ['volume_l' => 600, 'now_g_l' => 4, 'target_g_l' => 1])),
        );
        self::assertSame(
            ['target_g_l'],
            array_keys($this->errors('dose.salt', ['volume_l' => 600, 'now_g_l' => 0, 'target_g_l' => 30])),
        );
    }

    public function test_zeolite_holds_less_the_more_salt_there_is_and_any_rise_of_it_is_a_danger(): void
    {
        $fresh = $this->calculate('dose.zeolite', ['tan_mg_l' => 1.1, 'volume_l' => 600, 'production_g_d' => 0.15]);
        self::assertEqualsWithDelta(400.0, $fresh->number('mass_g'), 1e-9);
        self::assertEqualsWithDelta(4.0, $fresh->number('lasts_d'), 1e-9);
        $level = fn(array $more): array => array_map(
            static fn($caution): string => $caution->level->value,
            $this->calculate('dose.zeolite', ['tan_mg_l' => 1.1, 'volume_l' => 600, ...$more])->cautions,
        );
        self::assertContains('watch', $level(['salinity_g_l' => 0.2]));
        self::assertContains('danger', $level(['salinity_g_l' => 0.5]));
        self::assertContains('danger', $level(['salinity_g_l' => 0.1, 'salinity_before_g_l' => 0.05]));
        self::assertEqualsWithDelta(
            0.75,
            $this->figure(
                'dose.zeolite',
                ['tan_mg_l' => 1, 'volume_l' => 1, 'salinity_g_l' => 0.15],
                'capacity_mg_n_per_g',
            ),
            1e-9,
        );
    }

    /** By stoichiometry: 16/34.01 = 0.4704 g of oxygen a gram of peroxide. */
    public function test_peroxide_for_oxygen_is_capped(): void
    {
        $dose = $this->calculate('dose.peroxide_oxygen', ['volume_l' => 1000, 'rise_mg_l' => 2, 'strength_pct' => 3]);
        self::assertEqualsWithDelta(2 / 0.4704, $dose->number('h2o2_g'), 0.001);
        self::assertEqualsWithDelta(2 / 0.4704 / 0.03, $dose->number('product_g'), 0.03);
        self::assertSame(
            ['rise_mg_l'],
            array_keys(
                $this->errors('dose.peroxide_oxygen', ['volume_l' => 1000, 'rise_mg_l' => 4.8, 'strength_pct' => 3]),
            ),
        );
        self::assertEqualsWithDelta(
            0.263,
            $this->figure(
                'dose.peroxide_oxygen',
                ['volume_l' => 1000, 'rise_mg_l' => 4, 'strength_pct' => 3, 'do_mg_l' => 8, 'temp_c' => 25],
                'rise_mg_l',
            ),
            0.003,
        );
    }

    public function test_what_is_left_of_a_dose_after_decay_a_trickle_and_changes(): void
    {
        $half = [
            'volume_l' => 1000,
            'dose_mg_l' => 10,
            'target_mg_l' => 10,
            'hours' => 24,
            'half_life_h' => 24,
            'changes' => [['at_h' => 6, 'change_pct' => 50]],
        ];
        self::assertEqualsWithDelta(2.5, $this->figure('dose.residual', $half, 'residual_mg_l'), 1e-9);
        self::assertEqualsWithDelta(7.5, $this->figure('dose.residual', $half, 'top_up_g'), 1e-9);
        // A trickle alone: e^(−Qt/V), 10 L/h on 1,000 L over 24 h.
        self::assertEqualsWithDelta(
            10 * exp(-0.24),
            $this->figure(
                'dose.residual',
                ['volume_l' => 1000, 'dose_mg_l' => 10, 'target_mg_l' => 0, 'hours' => 24, 'flow_l_h' => 10],
                'residual_mg_l',
            ),
            1e-9,
        );
        self::assertSame(
            0.0,
            $this->figure(
                'dose.residual',
                [...$half, 'changes' => [['at_h' => 6, 'change_pct' => 100]]],
                'residual_mg_l',
            ),
        );
        self::assertSame(
            ['changes.0.at_h'],
            array_keys($this->errors('dose.residual', [...$half, 'changes' => [['at_h' => 30, 'change_pct' => 10]]])),
        );
    }

    public function test_carbon_left_in_takes_of_a_dose_until_it_is_full(): void
    {
        $carbon = [
            'volume_l' => 1000,
            'dose_mg_l' => 10,
            'target_mg_l' => 10,
            'hours' => 24,
            'clearings' => [['by' => 'carbon', 'from_h' => 0, 'to_h' => 24, 'cleared_l_h' => 100, 'holds_g' => 5]],
        ];
        // By hand: 10 g in all, so it is full at half of them, after ln 2/0.1 h.
        $fading = Fading::of(1000, 10, null, [], [new Clearing('carbon', 0, 24, 100, 5)], 24);
        self::assertEqualsWithDelta(10 * exp(-0.1 * 6.9), $fading->left(6.9), 1e-9);
        self::assertEqualsWithDelta(5, $fading->left(6.94), 1e-9);
        self::assertEqualsWithDelta(5, $this->figure('dose.residual', $carbon, 'residual_mg_l'), 1e-9);
        self::assertEqualsWithDelta(5, $this->figure('dose.residual', $carbon, 'adsorbed_g'), 1e-9);
        self::assertSame(
            ['clearings.0.to_h'],
            array_keys(
                $this->errors('dose.residual', [
                    ...$carbon,
                    'clearings' => [['by' => 'carbon', 'from_h' => 6, 'to_h' => 2, 'cleared_l_h' => 100]],
                ]),
            ),
        );
        $agents = Library::shipped()->agents();
        self::assertSame([], Adsorption::of($agents->get('salt'), 'carbon', 500, 0, 24, 4000), 'carbon takes no salt');
        self::assertEqualsWithDelta(
            4000 * 0.95,
            Adsorption::of($agents->get('methylene_blue'), 'carbon', 500, 0, 24, 4000)[0]->litresPerH,
            1e-9,
        );
    }

    /**
     * By scipy's solve_ivp, stopped at every change, start, end and filling up: decay, trickles, carbon and changes
     * together.
     */
    public function test_a_residual_agrees_with_numerical_integration(): void
    {
        foreach (
            [
                [3000, 5, 36, 48, [], [[40, 0, 48, 0]]],
                [4200, 2.5, 96, 156, [[30, 25], [100, 10]], [[120, 0, 156, 0]]],
                [6500, 2.5, 96, 72, [[20, 30]], [[30, 10, 72, 0], [600, 0, 40, 4], [300, 24, 60, 0]]],
                [800, 15, 0, 20, [[5, 50], [5, 20]], [[400, 2, 18, 3], [200, 2, 19, 1]]],
            ]
            as [$volume, $dose, $half, $hours, $changes, $clearings]
        ) {
            $text = static fn(array $rows): string => implode(
                ';',
                array_map(static fn(array $row): string => implode(',', $row), $rows),
            );
            $expected = Reference::python('fading_scipy.py', [
                "{$volume} {$dose} {$half} {$hours} | {$text($changes)} | {$text($clearings)}",
            ])[0];
            $given = [
                'volume_l' => $volume,
                'dose_mg_l' => $dose,
                'target_mg_l' => $dose,
                'hours' => $hours,
                ...$half > 0 ? ['half_life_h' => $half] : [],
                'changes' => array_map(
                    static fn(array $row): array => ['at_h' => $row[0], 'change_pct' => $row[1]],
                    $changes,
                ),
                'clearings' => array_map(
                    static fn(array $row): array => [
                        'by' => $row[3] > 0 ? 'carbon' : 'trickle',
                        'cleared_l_h' => $row[0],
                        'from_h' => $row[1],
                        'to_h' => $row[2],
                        ...$row[3] > 0 ? ['holds_g' => $row[3]] : [],
                    ],
                    $clearings,
                ),
            ];
            self::assertEqualsWithDelta(
                $expected,
                $this->figure('dose.residual', $given, 'residual_mg_l'),
                1e-8 * $dose,
            );
        }
    }

    public function test_what_an_agent_does_to_snails_and_plants_stands_in_its_way_like_any_other_conflict(): void
    {
        $conflicts = new Conflicts(Library::shipped()->agents());
        self::assertSame('refused', $conflicts->pair('copper_sulfate', 'invertebrates')->verdict->value);
        self::assertSame('refused', $conflicts->pair('invertebrates', 'formalin')->verdict->value);
        self::assertSame('conditions', $conflicts->pair('praziquantel', 'invertebrates')->verdict->value);
        self::assertSame(
            ['allowed', 'refused'],
            [
                $conflicts->pair('praziquantel', 'plants')->verdict->value,
                $conflicts->pair('methylene_blue', 'plants')->verdict->value,
            ],
        );
        self::assertContains(
            'hazard.copper_sulfate.invertebrates',
            $this->treat('copper_sulfate', ['present' => ['invertebrates']])->figures['codes'],
        );
        self::assertStringContainsString('cancer', Library::shipped()->agents()->get('formalin')->caution());
    }

    /** Common practice, no source: six weeks from nothing, three after a culture. */
    public function test_a_filter_counts_as_being_seeded_by_its_youngest_stage_and_its_last_culture(): void
    {
        $says = static fn(mixed ...$of): array => [Seeding::of(...$of)->runs, Seeding::of(...$of)->says];
        self::assertSame(
            [false, 'Grown in: Shower, the youngest stage, has run for 400 days'],
            $says(false, null, ['Moving bed' => 900.0, 'Shower' => 400.0]),
        );
        self::assertTrue(
            $says(false, null, ['Moving bed' => 900.0, 'Shower' => 12.0])[0],
            'a new stage beside an old one',
        );
        self::assertTrue($says(false, 5.0, ['Moving bed' => 900.0])[0]);
        self::assertFalse($says(false, 22.0, ['Moving bed' => 900.0])[0]);
        self::assertTrue($says(true, null, [])[0]);
        self::assertSame(
            [false, 'Grown in, it is assumed: nobody wrote down since when it runs'],
            $says(false, null, ['Sponge' => null]),
        );
    }

    public function test_a_course_says_what_to_do_about_a_dose_that_was_missed(): void
    {
        $states = static fn(array $given, float $today): array => array_column(
            CoursePlan::of(3, 7.0, $given, $today)->doses,
            'state',
        );
        self::assertSame(['given', 'to_come', 'to_come'], $states([0.0], 3.0));
        self::assertSame(['given', 'due', 'to_come'], $states([0.0], 7.2));
        self::assertSame(['given', 'late', 'to_come'], $states([0.0], 9.0));
        self::assertStringContainsString('late by 2 days: give it now', CoursePlan::of(3, 7.0, [0.0], 9.0)->says);
        self::assertTrue(CoursePlan::of(3, 7.0, [0.0], 15.0)->broken);
        // Given late, the rest counts on from it.
        self::assertSame([0.0, 9.0, 16.0], array_column(CoursePlan::of(3, 7.0, [0.0, 9.0], 10.0)->doses, 'day'));
        self::assertTrue(CoursePlan::of(3, 7.0, [0.0, 7.0, 14.0], 14.0)->complete);
    }

    public function test_a_charge_fills_by_what_is_made_or_brought_and_holds_less_each_time_and_in_salt(): void
    {
        $charge = ['mass_g' => 1000, 'production_g_d' => 0.15, 'days_in' => 4, 'cycles' => 1];
        // 1.5 mg/g, a tenth lost: 1.35 g N; 0.6 g taken in four days; five days to go.
        self::assertEqualsWithDelta(
            [1.35, 0.6, 5.0],
            [
                $this->figure('dose.charge', $charge, 'holds_g'),
                $this->figure('dose.charge', $charge, 'used_g'),
                $this->figure('dose.charge', $charge, 'full_in_d'),
            ],
            1e-9,
        );
        self::assertEqualsWithDelta(
            0.675,
            $this->figure('dose.charge', [...$charge, 'salinity_g_l' => 0.15], 'holds_g'),
            1e-9,
        );
        self::assertEqualsWithDelta(
            0.048,
            $this->figure('dose.charge', [...$charge, 'tan_mg_l' => 0.2, 'flow_l_h' => 10], 'takes_g_d'),
            1e-9,
        );
        self::assertSame(
            'danger',
            $this->calculate('dose.charge', [...$charge, 'salinity_g_l' => 1])->cautions[0]->level->value,
        );
    }

    public function test_amounts_are_said_in_the_keepers_tools_and_never_rounded_up(): void
    {
        self::assertSame(
            ['62 g', '1,240 g', '9.9 g', '12.5 kg'],
            array_map(Measures::grams(...), [62.9, 1243.6, 9.96, 12540.0]),
        );
        self::assertSame('60 g (10 teaspoons)', Measures::grams(60.4, true));
        self::assertSame('62.5 g', Measures::grams(62.9, false, 0.5));
        self::assertSame(
            ['7.4 mL (1.4 caps)', '0.3 mL (6 drops)', '50 mL (10 teaspoons)'],
            [Measures::millilitres(7.46, 5.0), Measures::millilitres(0.3), Measures::millilitres(50.0)],
        );
    }

    public function test_the_demand_of_the_water_is_found_between_brown_and_pink(): void
    {
        $samples = static fn(array $pairs): array => array_map(
            static fn(array $p): array => ['dose_mg_l' => $p[0], 'pink' => $p[1]],
            $pairs,
        );
        $found = $this->calculate('dose.permanganate_demand', [
            'volume_l' => 2000,
            'samples' => $samples([[1, false], [2, false], [3, true], [4, true]]),
        ]);
        self::assertEqualsWithDelta(
            [2.0, 4.0, 8.0],
            [$found->number('demand_mg_l'), $found->number('dose_mg_l'), $found->number('dose_g')],
            1e-9,
        );
        self::assertNull(
            $this->calculate('dose.permanganate_demand', [
                'volume_l' => 2000,
                'samples' => $samples([[6.2, false], [7, true]]),
            ])->figures['dose_g'],
            'so dirty a water is cleaned first',
        );
        self::assertSame(
            ['samples'],
            array_keys(
                $this->errors('dose.permanganate_demand', [
                    'volume_l' => 2000,
                    'samples' => $samples([[3, true], [4, false]]),
                ]),
            ),
        );
        self::assertSame(
            ['samples'],
            array_keys(
                $this->errors('dose.permanganate_demand', [
                    'volume_l' => 2000,
                    'samples' => $samples([[3, false], [4, false]]),
                ]),
            ),
        );
        $faults = fn(array $given): array => array_keys(
            $this->errors('dose.permanganate_demand', ['volume_l' => 2000, ...$given]),
        );
        self::assertSame(['brown_mg_l'], $faults(['pink_mg_l' => 6]), 'one pink sample tells nothing from below');
        self::assertSame(['pink_mg_l'], $faults(['brown_mg_l' => 2.9, 'pink_mg_l' => 4]), 'too far apart');
        self::assertSame([], $faults(['brown_mg_l' => 3, 'pink_mg_l' => 4]));
        $alkaline = $this->calculate('dose.permanganate_demand', [
            'volume_l' => 2000,
            'brown_mg_l' => 3,
            'pink_mg_l' => 4,
            'ph' => 8.6,
        ]);
        self::assertNull($alkaline->figures['dose_mg_l']);
        self::assertSame(['dose.permanganate_in_alkaline_water'], $alkaline->figures['codes']);
    }

    public function test_binders_by_label_and_starts_by_stoichiometry(): void
    {
        self::assertEqualsWithDelta(
            25.0,
            $this->figure(
                'dose.binder',
                [
                    'volume_l' => 1000,
                    'tan_mg_l' => 0.5,
                    'label_ml' => 10,
                    'label_treats_l' => 200,
                    'label_binds_mg_l' => 1,
                    'cap_ml' => 5,
                ],
                'dose_ml',
            ),
            1e-9,
        );
        self::assertSame(
            ['label_ml', 'label_treats_l', 'label_binds_mg_l'],
            array_keys($this->errors('dose.binder', ['volume_l' => 1000, 'tan_mg_l' => 0.5])),
        );
        // NH4Cl 53.49 a mole of N: 3.819 g a gram.
        self::assertEqualsWithDelta(
            (2 * 53.4915) / 14.0067,
            $this->figure(
                'filter.start_dose',
                ['volume_l' => 1000, 'target_mg_l' => 2, 'product' => 'ammonium_chloride'],
                'dose_g',
            ),
            0.001,
        );
        $ammonia = $this->calculate('filter.start_dose', [
            'volume_l' => 1000,
            'target_mg_l' => 2,
            'product' => 'ammonia_solution',
            'strength_pct' => 9.5,
            'fall_mg_l_d' => 1,
        ]);
        self::assertEqualsWithDelta((2 * 17.0305) / 14.0067 / 0.095 / 0.96, $ammonia->number('dose_ml'), 0.01);
        self::assertEqualsWithDelta(1.5, $ammonia->number('again_in_d'), 1e-9);
        self::assertSame(
            ['strength_pct'],
            array_keys(
                $this->errors('filter.start_dose', [
                    'volume_l' => 1000,
                    'target_mg_l' => 2,
                    'product' => 'ammonia_solution',
                ]),
            ),
        );
    }

    /** By arithmetic: 1.35 g held; 0.15 g made a day, 1 g standing. */
    public function test_a_charge_fills_by_what_stands_in_the_water_too(): void
    {
        $charge = ['mass_g' => 1000, 'cycles' => 1, 'production_g_d' => 0.15, 'days_in' => 0];
        $full = fn(array $more): ?float => $this->calculate('dose.charge', [...$charge, ...$more])->figures[
            'full_in_d'
        ];
        self::assertEqualsWithDelta(9.0, $full([]), 1e-6);
        self::assertEqualsWithDelta((1.35 - 1) / 0.15, $full(['tan_mg_l' => 1, 'volume_l' => 1000]), 1e-6);
        self::assertSame(0.0, $full(['tan_mg_l' => 8, 'volume_l' => 1000]));
        // A trickle of flow brings it slowly: the more that stands, the sooner it is full all the same.
        $slow = fn(float $tan): float => (float) $full(['tan_mg_l' => $tan, 'volume_l' => 1000, 'flow_l_h' => 20]);
        self::assertGreaterThan($slow(8), $slow(1));
        self::assertGreaterThan(0.0, $slow(8));
    }
}
