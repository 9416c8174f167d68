<?php

declare(strict_types=1);

namespace Database\Seeders;

use Illuminate\Support\Carbon;

/**
 * The six invented systems of the demo.
 *
 * A course is, by parameter, the reading at the first visit and at the last, the decimals it is typed
 * with, and the step of the kit it was read on.
 */
final readonly class DemoSystems
{
    private const TWICE_A_WEEK = [24, 21, 17, 14, 10, 7, 3, 0];

    private const DAILY = [9, 8, 7, 6, 5, 4, 3, 2, 1, 0];

    /** @return list<array<string, mixed>> */
    public static function all(): array
    {
        return [self::pressRoom(), self::arrivals(), self::coldStore(), self::yardPond(), self::nursery(), self::hospitalTub()];
    }

    /** @return array<string, mixed> */
    private static function pressRoom(): array
    {
        $bay = ['kind' => 'bay', 'shape' => 'box', 'measures' => ['length_m' => 2.4, 'width_m' => 1.6, 'depth_m' => 0.9], 'freeboard_m' => 0.12, 'netted' => true, 'overflow' => true, 'may_fall_mm' => 60, 'shade' => 'full'];

        return [
            'name' => 'Press Room', 'kind' => 'holding', 'life_stage' => 'adult',
            'vessels' => [['name' => 'Bay 1', ...$bay], ['name' => 'Bay 2', ...$bay], ['name' => 'Bay 3', ...$bay]],
            'stages' => [
                ['name' => 'Vortex', 'kind' => 'vortex', 'medium' => 'chamber_walls', 'media_l' => 300, 'flow_l_h' => 8200, 'loss_mm' => 8, 'rim_mm' => 100, 'cleaned_on' => self::daysAgo(4), 'water_l' => 620, 'plan_m2' => 1.13, 'fed' => 'gravity', 'since' => self::daysAgo(900)],
                ['name' => 'Brushes', 'kind' => 'brush', 'medium' => 'brush', 'media_l' => 180, 'flow_l_h' => 8200, 'cleaned_on' => self::daysAgo(23), 'loss_mm' => 12, 'rim_mm' => 100, 'water_l' => 420, 'fed' => 'gravity', 'since' => self::daysAgo(900)],
                ['name' => 'Moving bed', 'kind' => 'moving_bed', 'medium' => 'small_carrier', 'media_l' => 260, 'flow_l_h' => 8200, 'air_l_min' => 60, 'loss_mm' => 10, 'rim_mm' => 100, 'may_drop_mm' => 120, 'water_l' => 560, 'fed' => 'gravity', 'since' => self::daysAgo(610)],
                ['name' => 'UV lamp', 'kind' => 'uv', 'flow_l_h' => 8200, 'loss_mm' => 60, 'fed' => 'pumped', 'bypassable' => true, 'lamp_w' => 55, 'lamp_fitted_on' => self::daysAgo(210), 'sleeve_wiped_on' => self::daysAgo(74)],
            ],
            'fish' => [
                ['name' => 'Two-year koi', 'count' => 20, 'length_cm' => 42],
                ['name' => 'Three-year koi', 'count' => 13, 'length_cm' => 51],
                ['name' => 'Sorrel, the old female', 'count' => 1, 'length_cm' => 55, 'weight_g' => 2750, 'condition' => 1.653],
            ],
            'feed_g_d' => 220,
            'notes' => [[12, ['fed well'], ''], [5, [], 'Wiped the lamp’s housing, not the sleeve.']],
            'days' => self::TWICE_A_WEEK,
            'course' => [
                'tan_mg_l' => [0.1, 0.14, 2, 0.05], 'no2_n_mg_l' => [0.02, 0.03, 2, 0.02], 'no3_n_mg_l' => [21, 24, 0, 2], 'ph' => [7.7, 7.5, 1, 0.1],
                'temp_c' => [16.4, 17.6, 1, 0.3], 'do_mg_l' => [8.1, 7.8, 1, 0.2], 'alkalinity_mg_l' => [5.2, 3.9, 1, 0.1],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function arrivals(): array
    {
        $tub = ['kind' => 'tub', 'shape' => 'dished_cylinder', 'measures' => ['diameter_m' => 1.9, 'side_depth_m' => 0.8, 'dish_depth_m' => 0.12], 'freeboard_m' => 0.1, 'netted' => true, 'overflow' => true, 'may_fall_mm' => 40, 'shade' => 'full'];

        return [
            'name' => 'Arrivals', 'kind' => 'quarantine', 'life_stage' => 'quarantine',
            'vessels' => [['name' => 'Tub east', ...$tub], ['name' => 'Tub west', ...$tub]],
            'stages' => [
                ['name' => 'Compact sieve', 'kind' => 'sieve', 'medium' => 'chamber_walls', 'media_l' => 40, 'flow_l_h' => 4500, 'loss_mm' => 25, 'rim_mm' => 90],
                ['name' => 'Matting', 'kind' => 'matting', 'medium' => 'coarse_matting', 'media_l' => 60, 'flow_l_h' => 4500, 'loss_mm' => 15, 'rim_mm' => 90, 'may_drop_mm' => 130],
            ],
            'fish' => [['name' => 'June shipment', 'count' => 11, 'length_cm' => 36]],
            'feed_g_d' => 35,
            'notes' => [[6, ['flashing'], 'Two of them, against the wall. Scrape under the glass: flukes.'], [2, ['flashing', 'clamped fins'], 'One still.']],
            'days' => self::DAILY,
            'course' => [
                'tan_mg_l' => [0.2, 0.4, 2, 0.05], 'no2_n_mg_l' => [0.05, 0.16, 2, 0.02], 'no3_n_mg_l' => [15, 17, 0, 1], 'ph' => [7.8, 7.8, 1, 0.1],
                'temp_c' => [21.0, 22.0, 1, 0.2], 'do_mg_l' => [7.6, 7.3, 1, 0.2], 'alkalinity_mg_l' => [9.5, 9.2, 1, 0.2],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function coldStore(): array
    {
        return [
            'name' => 'Cold Store', 'kind' => 'start', 'life_stage' => 'starting',
            'vessels' => [['name' => 'Bay', 'kind' => 'bay', 'shape' => 'box', 'measures' => ['length_m' => 3.0, 'width_m' => 1.5, 'depth_m' => 1.0], 'freeboard_m' => 0.1, 'may_fall_mm' => 250, 'shade' => 'full']],
            'stages' => [
                ['name' => 'Static bead', 'kind' => 'static_bed', 'medium' => 'floating_bead', 'media_l' => 80, 'flow_l_h' => 4000, 'maturity_pct' => 18, 'loss_mm' => 600],
                ['name' => 'Shower', 'kind' => 'shower', 'medium' => 'ball', 'media_l' => 120, 'flow_l_h' => 4000, 'maturity_pct' => 18],
            ],
            'fish' => [],
            'feed_g_d' => 0,
            'days' => [22, 19, 16, 13, 10, 7, 4, 2, 0],
            'course' => [
                'tan_mg_l' => [4.0, 0.8, 2, 0.1], 'no2_n_mg_l' => [0.1, 11.5, 1, 0.5], 'no3_n_mg_l' => [12, 46, 0, 3], 'ph' => [8.1, 7.8, 1, 0.1],
                'temp_c' => [22.5, 23.0, 1, 0.2], 'do_mg_l' => [8.0, 7.9, 1, 0.1], 'alkalinity_mg_l' => [10.5, 7.8, 1, 0.2],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function yardPond(): array
    {
        return [
            'name' => 'Yard Pond', 'kind' => 'display', 'life_stage' => 'adult',
            'vessels' => [['name' => 'Pond', 'kind' => 'pond', 'shape' => 'sections', 'measures' => ['stations' => [
                ['at_m' => 0, 'area_m2' => 0], ['at_m' => 1.75, 'area_m2' => 3.9], ['at_m' => 3.5, 'area_m2' => 6.4], ['at_m' => 5.25, 'area_m2' => 5.2], ['at_m' => 7, 'area_m2' => 0.4],
            ]], 'overflow' => true, 'float_valve' => true, 'shade' => 'part', 'plants_m2' => 5, 'silt_m2' => 6]],
            'stages' => [
                ['name' => 'Brushes', 'kind' => 'brush', 'medium' => 'brush', 'media_l' => 420, 'flow_l_h' => 14000, 'cleaned_on' => self::daysAgo(16), 'loss_mm' => 15, 'rim_mm' => 60],
                ['name' => 'Matting bay', 'kind' => 'matting', 'medium' => 'coarse_matting', 'media_l' => 420, 'flow_l_h' => 14000, 'cleaned_on' => self::daysAgo(31), 'loss_mm' => 10, 'rim_mm' => 60, 'may_drop_mm' => 150],
                ['name' => 'Bog', 'kind' => 'bog', 'medium' => 'gravel_10_20', 'media_l' => 1800, 'flow_l_h' => 3000],
                ['name' => 'UV lamp', 'kind' => 'uv', 'flow_l_h' => 14000, 'bypassable' => true, 'lamp_w' => 110, 'lamp_fitted_on' => self::daysAgo(160), 'sleeve_wiped_on' => self::daysAgo(101)],
            ],
            'fish' => [['name' => 'Pond koi', 'count' => 16, 'length_cm' => 58], ['name' => 'Old females', 'count' => 6, 'length_cm' => 69]],
            'feed_g_d' => 300,
            'notes' => [[20, ['green water'], 'Disc seen to 40 cm at the bridge.'], [3, ['clear water', 'leaves'], '']],
            'days' => self::TWICE_A_WEEK,
            'course' => [
                'tan_mg_l' => [0.06, 0.08, 2, 0.03], 'no2_n_mg_l' => [0.02, 0.02, 2, 0.01], 'no3_n_mg_l' => [9, 11, 0, 1], 'ph' => [8.2, 8.4, 1, 0.1],
                'temp_c' => [17.5, 20.5, 1, 0.5], 'do_mg_l' => [8.4, 5.8, 1, 0.2], 'alkalinity_mg_l' => [8.0, 7.6, 1, 0.1],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function nursery(): array
    {
        $tub = ['kind' => 'tub', 'shape' => 'cylinder', 'measures' => ['diameter_m' => 0.9, 'depth_m' => 0.65], 'freeboard_m' => 0.1, 'netted' => true, 'overflow' => true, 'shade' => 'full'];

        return [
            'name' => 'Nursery', 'kind' => 'fry', 'life_stage' => 'fry',
            'vessels' => [
                ['name' => 'Tub 1', ...$tub], ['name' => 'Tub 2', ...$tub], ['name' => 'Tub 3', ...$tub], ['name' => 'Tub 4', ...$tub],
                ['name' => 'Sump', 'kind' => 'sump', 'shape' => 'box', 'measures' => ['length_m' => 1.2, 'width_m' => 0.6, 'depth_m' => 0.6], 'freeboard_m' => 0.15, 'level_mm' => -600, 'float_valve' => true, 'overflow' => true],
            ],
            'stages' => [
                ['name' => 'Sponge', 'kind' => 'sponge', 'medium' => 'foam_20ppi', 'media_l' => 25, 'flow_l_h' => 2400, 'fouling_pct' => 15, 'loss_mm' => 40],
                ['name' => 'Bead', 'kind' => 'static_bed', 'medium' => 'floating_bead', 'media_l' => 80, 'flow_l_h' => 2400, 'loss_mm' => 150],
            ],
            'fish' => [['name' => 'Fry, first cull', 'count' => 380, 'length_cm' => 6], ['name' => 'Fry, forward', 'count' => 220, 'length_cm' => 8.2]],
            'feed_g_d' => 70,
            'days' => self::DAILY,
            'course' => [
                'tan_mg_l' => [0.08, 0.12, 2, 0.02], 'no2_n_mg_l' => [0.02, 0.03, 2, 0.01], 'no3_n_mg_l' => [7, 9, 0, 1], 'ph' => [7.9, 7.8, 1, 0.1],
                'temp_c' => [23.5, 24.0, 1, 0.2], 'do_mg_l' => [7.4, 7.2, 1, 0.1], 'alkalinity_mg_l' => [7.0, 6.5, 1, 0.1],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function hospitalTub(): array
    {
        return [
            'name' => 'Hospital tub', 'kind' => 'hospital', 'life_stage' => 'quarantine',
            'vessels' => [['name' => 'Tub', 'kind' => 'tub', 'shape' => 'cylinder', 'measures' => ['diameter_m' => 1.1, 'depth_m' => 0.75], 'freeboard_m' => 0.12, 'netted' => true]],
            'stages' => [['name' => 'Air-driven sponge', 'kind' => 'sponge', 'medium' => 'foam_10ppi', 'media_l' => 8, 'flow_l_h' => 500, 'loss_mm' => 2, 'inside' => 'Tub', 'fed' => 'air']],
            'fish' => [['name' => 'Ulcer, left flank', 'count' => 1, 'length_cm' => 47]],
            'feed_g_d' => 3,
            'days' => [6, 5, 4, 3, 2, 1, 0],
            'course' => [
                'tan_mg_l' => [0.1, 0.22, 2, 0.03], 'no2_n_mg_l' => [0.02, 0.04, 2, 0.01], 'no3_n_mg_l' => [12, 15, 0, 1], 'ph' => [7.6, 7.5, 1, 0.1],
                'temp_c' => [20.5, 21.5, 1, 0.2], 'do_mg_l' => [7.8, 7.7, 1, 0.1], 'alkalinity_mg_l' => [8.0, 7.4, 1, 0.2],
            ],
        ];
    }

    private static function daysAgo(int $days): string
    {
        return Carbon::now()->subDays($days)->toDateString();
    }
}
