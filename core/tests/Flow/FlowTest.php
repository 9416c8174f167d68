<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Flow;

use Ironwort\Core\Flow\FrictionFactor;
use Ironwort\Core\Flow\PumpCurve;
use Ironwort\Core\Flow\Valve;
use Ironwort\Core\Flow\WaterProperties;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

/** Hydraulics against the fluids library and scipy (Debian python3-fluids, python3-scipy). */
final class FlowTest extends TestCase
{
    use Calculations;

    /** Colebrook and the laminar law, over a grid of Reynolds numbers and roughnesses, to 0.1 %. */
    public function test_friction_factors_agree_with_the_reference_library(): void
    {
        $cases = [];
        foreach ([50, 800, 1999, 4000, 6e3, 2e4, 1e5, 7e5, 5e6] as $reynolds) {
            foreach ([0, 1e-5, 3e-4, 2e-3, 1e-2, 0.05] as $roughness) {
                $cases[] = [$reynolds, $roughness];
            }
        }
        $reference = Reference::python(
            'flow_fluids.py',
            array_map(static fn(array $c): string => "f {$c[0]} {$c[1]}", $cases),
        );
        foreach ($cases as $i => [$reynolds, $roughness]) {
            self::assertEqualsWithDelta(
                1.0,
                FrictionFactor::of($reynolds, $roughness) / $reference[$i],
                1e-3,
                "Re {$reynolds}, ε/D {$roughness}",
            );
        }
    }

    public function test_loss_rises_steadily_through_the_change_from_laminar_to_turbulent(): void
    {
        $before = 0.0;
        for ($flow = 20; $flow < 400; $flow += 2) {
            $drop = $this->figure(
                'flow.gravity',
                ['flow_l_h' => $flow, 'bore_mm' => 25, 'length_m' => 5, 'fittings_k' => 0],
                'level_drop_mm',
            );
            self::assertGreaterThan($before, $drop, "{$flow} L/h");
            $before = $drop;
        }
    }

    public function test_a_gravity_line_loses_what_it_should(): void
    {
        // Worked by hand with ν 1.004e-6: 0.3295 m/s, f 0.02285, drop 18.95 mm.
        $line = $this->calculate('flow.gravity', [
            'flow_l_h' => 10000,
            'bore_mm' => 103.6,
            'length_m' => 6,
            'fittings_k' => 2.1,
            'temp_c' => 20,
        ]);
        self::assertEqualsWithDelta(0.3295, $line->number('velocity_m_s'), 1e-4);
        self::assertEqualsWithDelta(0.02285, $line->number('friction_factor'), 1e-5);
        self::assertEqualsWithDelta(18.95, $line->number('level_drop_mm'), 0.01);

        $lines = [[0.0012, 0.05, 12, 4.5], [0.004, 0.1036, 6, 2.1], [0.0003, 0.032, 3, 9]];
        $reference = Reference::python(
            'flow_fluids.py',
            array_map(static fn(array $l): string => 'p ' . implode(' ', $l), $lines),
        );
        foreach ($lines as $i => [$flow, $bore, $length, $k]) {
            $ours = $this->figure(
                'flow.gravity',
                ['flow_l_h' => 3.6e6 * $flow, 'bore_mm' => 1000 * $bore, 'length_m' => $length, 'fittings_k' => $k],
                'level_drop_mm',
            );
            self::assertEqualsWithDelta(1.0, $ours / 1000 / $reference[$i], 1e-3);
        }
    }

    public function test_slow_lines_and_lost_levels_are_warned_of(): void
    {
        $texts = fn(array $input): string => implode(
            ' ',
            array_column($this->calculate('flow.gravity', $input)->toArray()['cautions'], 'text'),
        );
        self::assertStringContainsString(
            'settle',
            $texts(['flow_l_h' => 4000, 'bore_mm' => 103.6, 'length_m' => 6, 'fittings_k' => 2.1]),
        );
        self::assertStringContainsString(
            'draws air',
            $texts(['flow_l_h' => 14000, 'bore_mm' => 75, 'length_m' => 6, 'fittings_k' => 2.1, 'freeboard_mm' => 60]),
        );
    }

    /** Viscosity of water: 1.787, 1.004 and 0.801 mm²/s at 0, 20 and 30 °C (handbook tables, from memory). */
    public function test_warm_water_is_thinner(): void
    {
        self::assertEqualsWithDelta(1.004e-6, WaterProperties::kinematicViscosity(20), 2e-9);
        self::assertEqualsWithDelta(0.801e-6, WaterProperties::kinematicViscosity(30), 3e-9);
        self::assertEqualsWithDelta(998.2, WaterProperties::density(20), 0.1);
    }

    public function test_pump_curves_run_through_their_points_as_scipy_draws_them(): void
    {
        $curve = new PumpCurve([0, 3000, 7000, 9000, 14000], [6.0, 5.6, 4.1, 3.0, 0.5]);
        $at = range(0, 14000, 250);
        $reference = Reference::python('flow_fluids.py', array_map(static fn(int $x): string => "c {$x}", $at));
        foreach ($at as $i => $flow) {
            self::assertEqualsWithDelta($reference[$i], $curve->head($flow), 1e-9, "{$flow}");
        }
    }

    public function test_a_curve_that_does_not_fall_is_none(): void
    {
        foreach (
            [[[0.0, 1.0], [5.0, 5.0]], [[0.0, 0.0], [5.0, 4.0]], [[0.0, 1.0], [5.0, 6.0]], [[0.0], [5.0]]]
            as $curve
        ) {
            try {
                new PumpCurve(...$curve);
                self::fail('taken for a curve: ' . json_encode($curve));
            } catch (\InvalidArgumentException) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_a_duty_point_balances_pump_and_pipework(): void
    {
        $pump = [
            'curve' => [
                ['flow_l_h' => 0, 'head_m' => 5],
                ['flow_l_h' => 6000, 'head_m' => 4],
                ['flow_l_h' => 12000, 'head_m' => 1],
            ],
            'static_head_m' => 0.5,
            'bore_mm' => 50,
            'length_m' => 8,
            'fittings_k' => 6,
        ];
        $duty = $this->calculate('flow.pump', [...$pump, 'power_w' => 120, 'price_per_kwh' => 0.3]);
        $asked =
            0.5 +
            $this->figure(
                'flow.gravity',
                ['flow_l_h' => $duty->number('flow_l_h'), 'bore_mm' => 50, 'length_m' => 8, 'fittings_k' => 6],
                'level_drop_mm',
            ) /
                1000;
        self::assertEqualsWithDelta($asked, $duty->number('head_m'), 1e-8);
        self::assertEqualsWithDelta(2.88, $duty->number('kwh_d'), 1e-12);
        self::assertEqualsWithDelta(0.864, $duty->number('cost_d'), 1e-12);
        self::assertSame(['static_head_m'], array_keys($this->errors('flow.pump', [...$pump, 'static_head_m' => 5])));
        self::assertSame(
            ['curve.1.head_m'],
            array_keys(
                $this->errors('flow.pump', [
                    ...$pump,
                    'curve' => [['flow_l_h' => 0, 'head_m' => 5], ['flow_l_h' => 100, 'head_m' => 6]],
                ]),
            ),
        );
    }

    public function test_parallel_branches_lose_the_same_head_and_carry_the_whole(): void
    {
        $branches = [
            ['bore_mm' => 50, 'length_m' => 8, 'fittings_k' => 6],
            ['bore_mm' => 40, 'length_m' => 3, 'fittings_k' => 2, 'valve_open_pct' => 60],
            ['bore_mm' => 63, 'length_m' => 8, 'fittings_k' => 6, 'valve_open_pct' => 0],
        ];
        $split = $this->calculate('flow.split', ['flow_l_h' => 10000, 'branches' => $branches]);
        $flows = array_column($split->figures['branches'], 'flow_l_h');
        self::assertEqualsWithDelta(10000, array_sum($flows), 1e-3);
        self::assertEqualsWithDelta(0.0, $flows[2], 1e-12);
        foreach ([0, 1] as $i) {
            $k = $branches[$i]['fittings_k'] + Valve::k($branches[$i]['valve_open_pct'] ?? 100);
            $drop = $this->figure(
                'flow.gravity',
                [
                    'flow_l_h' => $flows[$i],
                    'bore_mm' => $branches[$i]['bore_mm'],
                    'length_m' => $branches[$i]['length_m'],
                    'fittings_k' => $k,
                ],
                'level_drop_mm',
            );
            self::assertEqualsWithDelta(1000 * $split->number('head_m'), $drop, 1e-4);
        }
        self::assertSame(
            ['branches'],
            array_keys(
                $this->errors('flow.split', ['flow_l_h' => 1000, 'branches' => [[...$branches[2]], [...$branches[2]]]]),
            ),
        );
    }

    /** Weisbach 1855: 1.56 at 20°, 17.3 at 40°. */
    public function test_a_valve_holds_back_more_as_it_closes(): void
    {
        self::assertEqualsWithDelta(1.56, Valve::k(100 * (1 - 20 / 82.5)), 1e-9);
        self::assertEqualsWithDelta(17.3, Valve::k(100 * (1 - 40 / 82.5)), 1e-9);
        $before = 0.0;
        for ($open = 100.0; $open > 1; $open -= 2) {
            self::assertGreaterThanOrEqual($before, Valve::k($open));
            $before = Valve::k($open);
        }
        self::assertNull(Valve::k(0));
    }

    /** Nicklin's slug flow worked apart, as laid down: 24,500 L/h with a ΣK of 1.5 at its ends, 41,700 with none. */
    public function test_what_an_airlift_loses_at_its_ends_is_counted(): void
    {
        $lift = ['air_l_min' => 60, 'submergence_m' => 1.5, 'lift_m' => 0.05, 'bore_mm' => 100];
        self::assertEqualsWithDelta(24500, $this->figure('flow.airlift', $lift, 'flow_l_h'), 100);
        self::assertEqualsWithDelta(41700, $this->figure('flow.airlift', [...$lift, 'losses_k' => 0], 'flow_l_h'), 100);
    }

    /** Friction by fluids, the root by scipy. */
    public function test_airlifts_balance_as_scipy_finds_them(): void
    {
        $lifts = [
            [60, 1.5, 0.05, 0.1, 1.5],
            [60, 1.5, 0.05, 0.1, 0],
            [20, 0.8, 0.1, 0.05, 1.5],
            [120, 2.5, 0.3, 0.15, 2.5],
            [5, 0.6, 0.5, 0.03, 1.5],
        ];
        $reference = Reference::python(
            'flow_fluids.py',
            array_map(static fn(array $lift): string => 'a ' . implode(' ', $lift), $lifts),
        );
        foreach ($lifts as $i => [$air, $submergence, $lift, $bore, $losses]) {
            $ours = $this->figure(
                'flow.airlift',
                [
                    'air_l_min' => $air,
                    'submergence_m' => $submergence,
                    'lift_m' => $lift,
                    'bore_mm' => 1000 * $bore,
                    'losses_k' => $losses,
                ],
                'flow_l_h',
            );
            self::assertEqualsWithDelta($reference[$i], $ours, 2e-3 * max(1.0, $reference[$i]), "airlift {$i}");
        }
    }

    public function test_an_airlift_gives_more_for_more_air_and_depth_and_nothing_when_lifted_too_high(): void
    {
        $lift = fn(array $change): float => $this->figure(
            'flow.airlift',
            [...['air_l_min' => 20, 'submergence_m' => 0.7, 'lift_m' => 0.05, 'bore_mm' => 50], ...$change],
            'flow_l_h',
        );
        self::assertGreaterThan($lift([]), $lift(['air_l_min' => 30]));
        self::assertGreaterThan($lift([]), $lift(['submergence_m' => 1.0]));
        self::assertLessThan($lift([]), $lift(['lift_m' => 0.2]));
        self::assertEqualsWithDelta(0.0, $lift(['lift_m' => 2.0, 'air_l_min' => 1]), 1e-9);
    }

    /** Common practice, no source: at least 18 W on 5,000 L to touch parasites; the estimate itself is from memory. */
    public function test_uv_fades_with_hours_and_with_a_wet_sleeve(): void
    {
        $uv = fn(array $change): \Ironwort\Core\Calc\Result => $this->calculate('flow.uv', [
            ...['lamp_w' => 18, 'lamp_hours' => 0, 'days_since_wiped' => 0, 'flow_l_h' => 5000, 'volume_l' => 5000],
            ...$change,
        ]);
        self::assertTrue($uv([])->figures['touches_parasites']);
        // The rule of thumb and the dose are two figures; where nothing flows there is no verdict at all.
        self::assertFalse($uv(['flow_l_h' => 50000, 'lamp_w' => 18])->figures['dose_touches_parasites']);
        self::assertTrue($uv(['flow_l_h' => 200])->figures['dose_touches_parasites']);
        foreach (['clears_algae', 'touches_parasites', 'dose_touches_parasites', 'dose_mj_cm2'] as $key) {
            self::assertNull($uv(['flow_l_h' => 0])->figures[$key], $key);
        }
        self::assertFalse($uv(['lamp_hours' => 4000])->figures['touches_parasites']);
        self::assertLessThan($uv([])->number('dose_mj_cm2'), $uv(['days_since_wiped' => 60])->number('dose_mj_cm2'));
        self::assertEqualsWithDelta(
            $uv([])->number('dose_mj_cm2') / 2,
            $uv(['flow_l_h' => 10000])->number('dose_mj_cm2'),
            1e-9,
        );
        self::assertNull($uv(['flow_l_h' => 0])->figures['dose_mj_cm2']);
    }

    public function test_turnover_and_heat(): void
    {
        self::assertEqualsWithDelta(
            2.0,
            $this->figure('flow.turnover', ['volume_l' => 4000, 'flow_l_h' => 8000], 'turnovers_per_h'),
            1e-12,
        );
        // 4,186 J per litre and degree: 1 L/min warmed by 10 °C takes 698 W.
        self::assertEqualsWithDelta(
            697.7,
            $this->figure('exchange.heat', ['flow_l_h' => 60, 'source_temp_c' => 10, 'target_c' => 20], 'trickle_w'),
            0.1,
        );
        $heat = $this->calculate('exchange.heat', [
            'volume_l' => 1000,
            'temp_c' => 20,
            'target_c' => 20,
            'hours' => 2,
            'change_l' => 250,
            'source_temp_c' => 10,
        ]);
        self::assertEqualsWithDelta(17.5, $heat->number('mix_temp_c'), 1e-12);
        self::assertEqualsWithDelta((1000 * 4186 * 2.5) / 3.6e6, $heat->number('heat_kwh'), 1e-12);
        self::assertEqualsWithDelta($heat->number('heat_kwh') * 500, $heat->number('heater_w'), 1e-9);
        self::assertSame(
            ['source_temp_c'],
            array_keys($this->errors('exchange.heat', ['volume_l' => 1000, 'temp_c' => 20, 'change_l' => 100])),
        );
        self::assertSame(['target_c'], array_keys($this->errors('exchange.heat', ['volume_l' => 1000])));
    }
}
