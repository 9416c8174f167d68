<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Exchange;

use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** Programmes of changes under limits, the schools of change, and the heat of a small system. */
final class ProgrammesTest extends TestCase
{
    use Calculations;

    public function test_several_changes_a_day_share_the_limit_of_the_day(): void
    {
        $plan = [
            'volume_l' => 1000,
            'now' => ['tan_mg_l' => 2, 'no3_n_mg_l' => 20],
            'source' => ['tan_mg_l' => 0, 'no3_n_mg_l' => 0],
            'target' => ['tan_mg_l' => 0.5],
            'max_change_pct' => 30,
            'max_change_per_day' => ['no3_n_mg_l' => 10],
            'steps_per_day' => 3,
        ];
        $steps = $this->calculate('exchange.plan', $plan)->figures['steps'];
        $nitrate = 20.0;
        foreach (array_unique(array_column($steps, 'day')) as $day) {
            $last = array_values(array_filter($steps, static fn(array $step): bool => $step['day'] === $day));
            $evening = $last[count($last) - 1]['after']['no3_n_mg_l'];
            self::assertLessThanOrEqual(10 + 1e-9, $nitrate - $evening);
            $nitrate = $evening;
        }
        self::assertEqualsWithDelta(0.5, $steps[count($steps) - 1]['after']['tan_mg_l'], 1e-9);
        // Without the limit it is done by the evening: 0.7³ × 2 = 0.69 after three, a fourth the next day.
        self::assertSame(
            [0, 0, 0, 1],
            array_column(
                $this->calculate('exchange.plan', [...$plan, 'max_change_per_day' => ['no3_n_mg_l' => 100]])->figures[
                    'steps'
                ],
                'day',
            ),
        );
    }

    public function test_no_step_moves_ph_further_than_it_may(): void
    {
        $plan = [
            'volume_l' => 1000,
            'now' => ['ph' => 6.6, 'alkalinity_mg_l' => 30, 'temp_c' => 18],
            'source' => ['ph' => 8.2, 'alkalinity_mg_l' => 160, 'temp_c' => 18],
            'target' => ['alkalinity_mg_l' => 100],
            'max_change_per_day' => ['ph' => 0.3],
        ];
        $ph = 6.6;
        foreach ($this->calculate('exchange.plan', $plan)->figures['steps'] as $step) {
            self::assertLessThanOrEqual(0.3 + 1e-6, abs($step['after']['ph'] - $ph));
            $ph = $step['after']['ph'];
        }
        self::assertGreaterThan(7.0, $ph);
    }

    public function test_a_bound_is_given_in_figures(): void
    {
        $plan = $this->calculate('exchange.plan', [
            'volume_l' => 1000,
            'now' => ['no3_n_mg_l' => 12],
            'source' => ['no3_n_mg_l' => 9],
            'target' => ['no3_n_mg_l' => 5],
        ]);
        self::assertSame(
            ['no3_n_mg_l', 12.0, 5.0, 9.0],
            [
                $plan->figures['bound']['key'],
                $plan->figures['bound']['from'],
                $plan->figures['bound']['to'],
                $plan->figures['bound']['source'],
            ],
        );
    }

    /** By arithmetic: half of (x + 0.32) a day comes to rest at 0.32. */
    public function test_what_the_fish_make_meanwhile_is_counted(): void
    {
        $plan = [
            'volume_l' => 1000,
            'now' => ['tan_mg_l' => 1],
            'source' => ['tan_mg_l' => 0],
            'target' => ['tan_mg_l' => 0.1],
            'production_g_d' => ['tan_mg_l' => 0.32],
        ];
        $never = $this->calculate('exchange.plan', $plan);
        self::assertFalse($never->figures['reachable']);
        self::assertContains('exchange.plan_more_is_made', $never->figures['codes']);
        self::assertSame([], $never->figures['steps'], 'no steps are offered that cannot work');
        self::assertStringContainsString('settles at total ammonia 0.32', $never->figures['reason']);
        $reached = $this->calculate('exchange.plan', [...$plan, 'target' => ['tan_mg_l' => 0.4]]);
        // 1 → 0.5; 0.82 → 0.41; 0.73 → 0.4.
        self::assertEqualsWithDelta(
            [0.5, 0.41, 0.4],
            array_map(static fn(array $step): float => $step['after']['tan_mg_l'], $reached->figures['steps']),
            1e-9,
        );
    }

    public function test_what_shocks_holds_unless_told_otherwise_and_is_named(): void
    {
        $plan = [
            'volume_l' => 1000,
            'now' => ['no3_n_mg_l' => 27, 'temp_c' => 20],
            'source' => ['no3_n_mg_l' => 0, 'temp_c' => 20],
            'target' => ['no3_n_mg_l' => 9],
        ];
        $usual = $this->calculate('exchange.plan', $plan);
        self::assertSame(['no3_n_mg_l'], $usual->figures['binds']);
        self::assertEqualsWithDelta((9.0358 / 27) * 100, $usual->figures['steps'][0]['change_pct'], 1e-6);
        $cold = $this->calculate('exchange.plan', [...$plan, 'source' => ['no3_n_mg_l' => 0, 'temp_c' => 3]]);
        self::assertSame('temp_c', $cold->figures['binds'][0]);
        self::assertEqualsWithDelta((2 / 17) * 100, $cold->figures['steps'][0]['change_pct'], 1e-6);
        $told = $this->calculate('exchange.plan', [...$plan, 'max_change_per_day' => ['no3_n_mg_l' => 50]]);
        self::assertSame([], $told->figures['binds']);
        self::assertEqualsWithDelta(50.0, $told->figures['steps'][0]['change_pct'], 1e-9);
    }

    public function test_ammonia_to_be_acted_on_decides_over_all_but_temperature(): void
    {
        $plan = [
            'volume_l' => 1000,
            'now' => ['tan_mg_l' => 4, 'no3_n_mg_l' => 60, 'ph' => 8.0, 'alkalinity_mg_l' => 100, 'temp_c' => 20],
            'source' => ['tan_mg_l' => 0, 'no3_n_mg_l' => 0, 'ph' => 7.4, 'alkalinity_mg_l' => 60, 'temp_c' => 20],
            'target' => ['tan_mg_l' => 0.4],
            'max_change_pct' => 95,
        ];
        $acted = $this->calculate('exchange.plan', $plan);
        self::assertTrue($acted->figures['ammonia_decides']);
        self::assertEqualsWithDelta(90.0, $acted->figures['steps'][0]['change_pct'], 1e-6);
        self::assertNull($acted->figures['bind_first_mg_l']);
        $watched = $this->calculate('exchange.plan', [...$plan, 'now' => [...$plan['now'], 'tan_mg_l' => 0.5]]);
        self::assertFalse($watched->figures['ammonia_decides']);
        self::assertLessThan(20.0, $watched->figures['steps'][0]['change_pct']);
        $cold = [...$plan, 'source' => [...$plan['source'], 'temp_c' => 10]];
        self::assertEqualsWithDelta(
            20.0,
            $this->calculate('exchange.plan', $cold)->figures['steps'][0]['change_pct'],
            1e-6,
        );
    }

    /** Arithmetic of Emerson and of carbonate by hand: TAN 1 at pH 7.0, KH 40, half changed for pH 8.2, KH 200. */
    public function test_a_change_that_burns_is_said_to_and_what_is_bound_first_is_what_stood_before_it(): void
    {
        $change = [
            'volume_l' => 1000,
            'change_pct' => 50,
            'now' => ['tan_mg_l' => 1, 'ph' => 7.0, 'alkalinity_mg_l' => 40, 'temp_c' => 20],
            'source' => ['tan_mg_l' => 0, 'ph' => 8.2, 'alkalinity_mg_l' => 200, 'temp_c' => 20],
        ];
        $batch = $this->calculate('exchange.batch', $change);
        self::assertEqualsWithDelta(7.69, $batch->figures['after']['ph'], 0.01);
        self::assertEqualsWithDelta(0.004, $batch->number('nh3_n_now_mg_l'), 5e-5);
        self::assertEqualsWithDelta(0.0096, $batch->number('nh3_n_after_mg_l'), 5e-5);
        self::assertEqualsWithDelta(8.66, $batch->number('ph_aired'), 0.005);
        self::assertEqualsWithDelta(0.077, $batch->number('nh3_n_aired_mg_l'), 5e-4);
        self::assertTrue($batch->figures['burns']);
        $like = [...$change, 'source' => [...$change['source'], 'ph' => 7.0, 'alkalinity_mg_l' => 40]];
        self::assertFalse($this->calculate('exchange.batch', $like)->figures['burns'], 'water of its own kind');
        $plan = $this->calculate('exchange.plan', [
            ...array_diff_key($change, ['change_pct' => 0]),
            'target' => ['tan_mg_l' => 0.5],
            'tan_act_mg_l' => 0.5,
        ]);
        self::assertEqualsWithDelta(1.0, $plan->number('bind_first_mg_l'), 1e-9);
        self::assertTrue($plan->figures['steps'][0]['burns']);
    }

    public function test_schools_follow_the_closed_forms_of_trickle_and_series(): void
    {
        $given = [
            'volume_l' => 10000,
            'now' => ['no3_n_mg_l' => 20, 'temp_c' => 18],
            'source' => ['no3_n_mg_l' => 3, 'temp_c' => 10],
            'tan_g_d' => 5,
            'price_m3' => 2.5,
        ];
        $schools = array_column($this->calculate('exchange.schools', $given)->figures['schools'], null, 'id');
        $trickle = $this->calculate('exchange.trickle', [
            'volume_l' => 10000,
            'pct_per_week' => 10,
            'now' => ['no3_n_mg_l' => 20],
            'source' => ['no3_n_mg_l' => 3],
            'production_g_d' => ['no3_n_mg_l' => 5],
            'days' => 60,
        ]);
        self::assertEqualsWithDelta($trickle->figures['after']['no3_n_mg_l'], $schools['trickle']['no3_n_mg_l'], 1e-9);
        self::assertEqualsWithDelta(60000 / 7, $schools['trickle']['water_l'], 1e-6);
        // Half a day at the end of each day: C = 3 + (C + 0.5 - 3)/2, which comes to 3.5.
        self::assertEqualsWithDelta(3.5, $schools['half_daily']['no3_n_mg_l'], 1e-9);
        self::assertEqualsWithDelta(4.0, $schools['half_daily']['temp_drop_c'], 1e-9);
        // Nothing let out: 0.5 mg/L a day on top, and nothing paid.
        self::assertEqualsWithDelta(50.0, $schools['usual']['no3_n_mg_l'], 1e-9);
        self::assertEqualsWithDelta(2.5 * 16, $schools['weekly']['cost'], 1e-9);
        // Top-up of 20 L a day brings 3 mg/L of nitrate with each litre and takes none.
        $dry = array_column(
            $this->calculate('exchange.schools', ['surface_m2' => 10, 'evaporation_mm_d' => 2, ...$given])->figures[
                'schools'
            ],
            null,
            'id',
        );
        self::assertEqualsWithDelta(50.0 + (60 * 20 * 3) / 10000, $dry['top_up']['no3_n_mg_l'], 1e-9);
    }

    public function test_heat_lost_is_held_by_as_much_heating_and_a_coil_warms_towards_the_air(): void
    {
        $tub = [
            'volume_l' => 600,
            'temp_c' => 22,
            'air_c' => 12,
            'surface_m2' => 1,
            'walls_m2' => 3,
            'flow_l_h' => 60,
            'source_temp_c' => 12,
        ];
        // 60 L/h warmed by 10 °C is 698 W; walls 6 × 3 × 10, surface 20 × 1 × 10.
        self::assertEqualsWithDelta(697.7, $this->figure('exchange.heat_balance', $tub, 'trickle_w'), 0.1);
        self::assertEqualsWithDelta(697.7 + 180 + 200, $this->figure('exchange.heat_balance', $tub, 'needed_w'), 0.1);
        $needed = $this->figure('exchange.heat_balance', $tub, 'needed_w');
        self::assertEqualsWithDelta(
            22.0,
            $this->figure('exchange.heat_balance', [...$tub, 'heater_w' => $needed], 'holds_c'),
            1e-9,
        );
        $cold = [...$tub, 'source_temp_c' => 4, 'air_c' => 16];
        self::assertLessThan(
            $this->figure('exchange.heat_balance', $cold, 'needed_w'),
            $this->figure('exchange.heat_balance', [...$cold, 'coil_m2' => 2], 'needed_w'),
        );
        self::assertLessThan(16.0, $this->figure('exchange.heat_balance', [...$cold, 'coil_m2' => 2], 'comes_in_c'));
    }
}
