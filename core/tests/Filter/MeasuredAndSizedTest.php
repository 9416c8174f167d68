<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

/** What a run of readings says of a filter, and how large a filter a load would need. */
final class MeasuredAndSizedTest extends TestCase
{
    use Calculations;

    public function test_steady_ammonia_means_the_filter_takes_all_that_changes_do_not(): void
    {
        $readings = array_map(static fn(int $day): array => ['day' => $day, 'low_mg_l' => 0.4, 'high_mg_l' => 0.6], [
            0,
            4,
            8,
            12,
        ]);
        $run = [
            'volume_l' => 10000,
            'load_g_d' => 30,
            'change_l_d' => 1000,
            'source_tan_mg_l' => 0.1,
            'readings' => $readings,
        ];

        // 1 m³ a day leaves with 0.5 and comes with 0.1 mg/L: 0.4 g N a day.
        self::assertEqualsWithDelta(29.6, $this->figure('filter.from_readings', $run, 'removal_g_d'), 1e-9);
        self::assertEqualsWithDelta(
            30.0,
            $this->figure(
                'filter.from_readings',
                ['source_tan_mg_l' => 0.0, 'change_l_d' => 0.0] + $run,
                'removal_g_d',
            ),
            1e-9,
        );
    }

    public function test_rising_ammonia_is_load_the_filter_did_not_take_by_the_slope_scipy_finds(): void
    {
        $run = [[0, 0.2], [2, 0.5], [5, 0.6], [9, 1.4], [13, 1.5], [16, 2.2]];
        [$slope, $error] = Reference::python('slope_scipy.py', [(string) json_encode($run)]);
        $given = [
            'volume_l' => 8000,
            'load_g_d' => 25,
            'readings' => array_map(
                static fn(array $at): array => ['day' => $at[0], 'low_mg_l' => $at[1], 'high_mg_l' => $at[1]],
                $run,
            ),
        ];

        self::assertEqualsWithDelta($slope, $this->figure('filter.from_readings', $given, 'rise_mg_l_d'), 1e-12);
        self::assertEqualsWithDelta(
            25 - 8 * $slope,
            $this->figure('filter.from_readings', $given, 'removal_g_d'),
            1e-9,
        );
        self::assertEqualsWithDelta(
            25 - 8 * ($slope + 2 * $error),
            $this->figure('filter.from_readings', $given, 'low_g_d'),
            1e-9,
        );
    }

    public function test_too_short_a_run_says_so_at_the_readings(): void
    {
        $reading = ['day' => 1, 'low_mg_l' => 0.1, 'high_mg_l' => 0.2];
        self::assertArrayHasKey(
            'readings',
            $this->errors('filter.from_readings', [
                'volume_l' => 100,
                'load_g_d' => 1,
                'readings' => [$reading, $reading, $reading],
            ]),
        );
        self::assertStringContainsString(
            'week',
            $this->errors('filter.from_readings', [
                'volume_l' => 100,
                'load_g_d' => 1,
                'readings' => array_fill(0, 4, $reading),
            ])['readings'],
        );
    }

    public function test_a_filter_of_the_size_given_takes_the_load_it_was_sized_for(): void
    {
        $water = ['temp_c' => 18, 'ph' => 7.4, 'do_in_mg_l' => 8, 'tan_mg_l' => 0.3, 'alkalinity_mg_l' => 100];
        $sized = $this->calculate('filter.size', [
            'load_g_d' => 12,
            'volume_l' => 9000,
            'rating_times' => 4,
            ...$water,
        ]);

        self::assertSame(36000.0, $sized->figures['box_rating_l']);
        foreach ($sized->figures['options'] as $option) {
            $stage = array_filter(
                [
                    'kind' => $option['kind'],
                    'medium' => $option['medium'],
                    'media_l' => $option['media_l'],
                    'flow_l_h' => $option['flow_l_h'],
                    'air_l_min' => $option['air_l_min'],
                ],
                static fn($value): bool => $value !== null,
            );
            self::assertEqualsWithDelta(
                12.0,
                $this->figure('filter.capacity', [...$water, 'stages' => [$stage]], 'total_g_d'),
                0.01,
                $option['kind'],
            );
        }
    }

    public function test_no_bed_is_large_enough_for_water_without_oxygen(): void
    {
        $sized = $this->calculate('filter.size', [
            'load_g_d' => 50,
            'volume_l' => 9000,
            'temp_c' => 18,
            'ph' => 7.4,
            'do_in_mg_l' => 2,
            'tan_mg_l' => 0.3,
            'alkalinity_mg_l' => 100,
        ]);
        $options = array_column($sized->figures['options'], 'media_l', 'kind');

        self::assertNull($options['static_bed']);
    }

    /** Worked by hand: 200 L of 525 m²/m³ at 0.45 g/m²/d and walls of 20 m² at 0.05, 1.09^(T − 20) warmer or colder. */
    public function test_what_a_filter_could_reach_is_its_surface_by_temperature_and_water_holds_it_below_that(): void
    {
        $at = fn(array $more): array => $this->calculate('filter.reach', [
            'temp_c' => 20,
            'ph' => 7.5,
            'alkalinity_mg_l' => 120,
            'do_mg_l' => 8,
            'walls_m2' => 20,
            'stages' => [
                ['kind' => 'moving_bed', 'area_m2_m3' => 525, 'media_l' => 200, 'flow_l_h' => 8000, 'air_l_min' => 50],
            ],
            ...$more,
        ])->figures;
        self::assertEqualsWithDelta(0.2 * 525 * 0.45 + 20 * 0.05, $at([])['greatest_g_d'], 1e-6);
        self::assertEqualsWithDelta((0.2 * 525 * 0.45 + 1) * 1.09 ** -10, $at(['temp_c' => 10])['greatest_g_d'], 1e-6);
        self::assertLessThan(
            $at([])['flat_out_pct'],
            $at(['alkalinity_mg_l' => 15])['flat_out_pct'],
            'half of it starves without alkalinity',
        );
        self::assertLessThan($at([])['flat_out_pct'], $at(['ph' => 6.4])['flat_out_pct']);
        self::assertLessThanOrEqual(100.0, $at([])['flat_out_pct']);
    }
}
