<?php

declare(strict_types=1);

namespace Database\Seeders;

use Illuminate\Support\Carbon;

/**
 * The six invented systems of the demo.
 *
 * A story is the first day's water, how warm it is, what flows in, and what happened by days ago; DemoWater
 * makes the rest of it. Kits are, by parameter, the decimals that are typed and the step that is read.
 */
final readonly class DemoSystems
{
    /** Canonical: mg/L as N, as CaCO3. */
    public const SOURCES = [
        'borehole' => ['no3_n_mg_l' => 3.163, 'alkalinity_mg_l' => 196.3],
        'mains' => ['no3_n_mg_l' => 4.97, 'alkalinity_mg_l' => 160.6],
        'blend' => ['no3_n_mg_l' => 0.95, 'alkalinity_mg_l' => 53.5],
        'half RO' => ['no3_n_mg_l' => 1.69, 'alkalinity_mg_l' => 98.2],
    ];

    /** @return list<array<string, mixed>> */
    public static function all(): array
    {
        return [
            self::pressRoom(),
            self::arrivals(),
            self::coldStore(),
            self::yardPond(),
            self::nursery(),
            self::hospitalTub(),
        ];
    }

    /** @return array<string, mixed> */
    private static function pressRoom(): array
    {
        $bay = [
            'kind' => 'bay',
            'shape' => 'box',
            'measures' => ['length_m' => 2.4, 'width_m' => 1.6, 'depth_m' => 0.9],
            'freeboard_m' => 0.12,
            'netted' => true,
            'overflow' => true,
            'may_fall_mm' => 60,
            'shade' => 'full',
        ];

        return [
            'name' => 'Press Room',
            'kind' => 'holding',
            'life_stage' => 'adult',
            'vessels' => [['name' => 'Bay 1', ...$bay], ['name' => 'Bay 2', ...$bay], ['name' => 'Bay 3', ...$bay]],
            'stages' => [
                [
                    'name' => 'Vortex',
                    'kind' => 'vortex',
                    'medium' => 'chamber_walls',
                    'media_l' => 300,
                    'flow_l_h' => 8200,
                    'loss_mm' => 8,
                    'rim_mm' => 100,
                    'cleaned_on' => self::daysAgo(4),
                    'water_l' => 620,
                    'plan_m2' => 1.13,
                    'fed' => 'gravity',
                    'since' => self::daysAgo(900),
                ],
                [
                    'name' => 'Brushes',
                    'kind' => 'brush',
                    'medium' => 'brush',
                    'media_l' => 180,
                    'flow_l_h' => 8200,
                    'cleaned_on' => self::daysAgo(23),
                    'loss_mm' => 12,
                    'rim_mm' => 100,
                    'water_l' => 420,
                    'fed' => 'gravity',
                    'since' => self::daysAgo(900),
                ],
                [
                    'name' => 'Moving bed',
                    'kind' => 'moving_bed',
                    'medium' => 'small_carrier',
                    'media_l' => 260,
                    'flow_l_h' => 8200,
                    'air_l_min' => 60,
                    'loss_mm' => 10,
                    'rim_mm' => 100,
                    'may_drop_mm' => 120,
                    'water_l' => 560,
                    'fed' => 'gravity',
                    'since' => self::daysAgo(610),
                ],
                [
                    'name' => 'UV lamp',
                    'kind' => 'uv',
                    'flow_l_h' => 8200,
                    'loss_mm' => 60,
                    'fed' => 'pumped',
                    'bypassable' => true,
                    'lamp_w' => 55,
                    'lamp_fitted_on' => self::daysAgo(210),
                    'sleeve_wiped_on' => self::daysAgo(74),
                ],
            ],
            'fish' => [
                ['name' => 'Two-year koi', 'count' => 20, 'length_cm' => 42],
                ['name' => 'Three-year koi', 'count' => 13, 'length_cm' => 51],
                [
                    'name' => 'Sorrel, the old female',
                    'count' => 1,
                    'length_cm' => 55,
                    'weight_g' => 2750,
                    'condition' => 1.653,
                ],
            ],
            'feed_g_d' => 150,
            'notes' => [
                [
                    63,
                    ['gasping at the surface', 'at the returns'],
                    'Power was off from two to eight in the night. Both air pumps on the battery ' .
                    'since half past seven.',
                ],
                [62, ['off their food'], 'Ammonia binder after the change. No feed.'],
                [60, [], '9 kg of salt in three steps over the day, against the nitrite to come.'],
                [58, ['fed well'], 'Fed a little; they came up.'],
                [
                    28,
                    [],
                    'Weekly changes from the blend from today: nitrate would not come under 45 with borehole water.',
                ],
                [12, ['fed well'], ''],
                [5, [], 'Wiped the lamp’s housing, not the sleeve.'],
            ],
            'schools' => ['exchange' => ['weekly', 'and the trickle besides']],
            'setbacks' => [[63, 'stood_closed', 6]],
            'switched' => [
                [41, 9, 'Main pump', 'off', 'strainer full of leaves'],
                [41, 10, 'Main pump', 'on', 'strainer cleaned, water seen at every return'],
            ],
            'closely' => [63, 50],
            'served' => [
                [52, 'Main pump', 'clean_impeller', 22],
                [30, 'Air pump, bays', 'air_filter', 10],
                [23, 'Brushes', 'wash_brushes', 31],
                [19, 'Moving bed', 'look_at_carrier', 8],
                [9, 'Bay 1', 'vacuum', 25],
                [9, 'Bay 2', 'vacuum', 24],
                [16, 'Bay 3', 'vacuum', 28],
                [44, 'Press Room', 'circuits', 6],
                [12, 'Press Room', 'look_at_flow', 5],
            ],
            'probes' => true,
            'every' => 3.5,
            'story' => [
                'days' => 180,
                'start' => [
                    'tan_mg_l' => 0.08,
                    'no2_n_mg_l' => 0.02,
                    'no3_n_mg_l' => 8,
                    'alkalinity_mg_l' => 135,
                ],
                'grown' => 0.6,
                'warmth' => ['mean' => 15.5, 'swing' => 2.4, 'weather' => 0.4],
                'oxygen' => 0.86,
                'co2_mg_l' => 5,
                'trickle_pct_d' => 2.57,
                'source' => 'borehole',
                'events' => self::pressRoomEvents(),
            ],
        ];
    }

    /**
     * Weekly changes, buffer when KH is low, and the six-hour power cut nine weeks ago with what answered it.
     *
     * @return array<int, list<array{string, float|int}>>
     */
    private static function pressRoomEvents(): array
    {
        $events = [];
        for ($ago = 176; $ago > 0; $ago -= 7) {
            $events[$ago][] = [$ago > 28 ? 'borehole' : 'blend', 30];
        }
        $events[63] = [['killed', 94], ['ammonia', 1.1], ['appetite', 0]];
        $events[62] = [['borehole', 50]];
        $events[60] = [['borehole', 40], ['salt', 1]];
        $events[58] = [['borehole', 40], ['appetite', 0.4]];
        $events[53] = [['appetite', 1]];

        return $events;
    }

    /** @return array<string, mixed> */
    private static function arrivals(): array
    {
        $tub = [
            'kind' => 'tub',
            'shape' => 'dished_cylinder',
            'measures' => ['diameter_m' => 1.9, 'side_depth_m' => 0.8, 'dish_depth_m' => 0.12],
            'freeboard_m' => 0.1,
            'netted' => true,
            'overflow' => true,
            'may_fall_mm' => 40,
            'shade' => 'full',
        ];

        return [
            'name' => 'Arrivals',
            'kind' => 'quarantine',
            'life_stage' => 'quarantine',
            'vessels' => [['name' => 'Tub east', ...$tub], ['name' => 'Tub west', ...$tub]],
            'stages' => [
                [
                    'name' => 'Compact sieve',
                    'kind' => 'sieve',
                    'medium' => 'chamber_walls',
                    'media_l' => 40,
                    'since' => self::daysAgo(480),
                    'flow_l_h' => 4500,
                    'loss_mm' => 25,
                    'rim_mm' => 90,
                ],
                [
                    'name' => 'Matting',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 60,
                    'since' => self::daysAgo(480),
                    'flow_l_h' => 4500,
                    'loss_mm' => 15,
                    'rim_mm' => 90,
                    'may_drop_mm' => 130,
                ],
            ],
            'fish' => [
                ['name' => 'June shipment, larger', 'count' => 6, 'length_cm' => 40, 'arrived_on' => self::daysAgo(9)],
                ['name' => 'June shipment, smaller', 'count' => 5, 'length_cm' => 32, 'arrived_on' => self::daysAgo(9)],
            ],
            // Those before them left with a clean filter behind: it is no start.
            'gone' => [['April shipment', 14, 36, 95, 12]],
            'feed_g_d' => 35,
            'course' => ['praziquantel', 'Praziquantel', 2.5, 3, [5]],
            'notes' => [
                [6, ['flashing'], 'Two of the smaller, against the wall. Scrape under the glass: flukes.'],
                [2, ['flashing', 'clamped fins'], 'One still.'],
            ],
            'every' => 1,
            'served' => [
                [1, 'Compact sieve', 'clear_screen', 4],
                [13, 'Matting', 'wash_pads', 34],
                [4, 'Tub east', 'vacuum', 15],
                [11, 'Tub west', 'vacuum', 16],
                [13, 'Pump', 'clean_impeller', 15],
            ],
            'story' => [
                'days' => 9,
                'start' => [
                    'tan_mg_l' => 0.2,
                    'no2_n_mg_l' => 0.05,
                    'no3_n_mg_l' => 3.4,
                    'alkalinity_mg_l' => 180,
                ],
                'grown' => 0.3,
                'warmth' => ['mean' => 20.6, 'swing' => 1.2, 'weather' => 0.2],
                'oxygen' => 0.86,
                'co2_mg_l' => 4,
                'trickle_pct_d' => 30,
                'source' => 'mains',
                'events' => [],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function coldStore(): array
    {
        return [
            'name' => 'Cold Store',
            'kind' => 'start',
            'life_stage' => 'starting',
            'vessels' => [
                [
                    'name' => 'Bay',
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3.0, 'width_m' => 1.5, 'depth_m' => 1.0],
                    'freeboard_m' => 0.1,
                    'may_fall_mm' => 250,
                    'shade' => 'full',
                ],
            ],
            'stages' => [
                [
                    'name' => 'Static bead',
                    'kind' => 'static_bed',
                    'medium' => 'floating_bead',
                    'media_l' => 80,
                    'flow_l_h' => 4000,
                    'loss_mm' => 600,
                    'since' => self::daysAgo(23),
                ],
                [
                    'name' => 'Shower',
                    'kind' => 'shower',
                    'medium' => 'ball',
                    'media_l' => 120,
                    'flow_l_h' => 4000,
                    'since' => self::daysAgo(23),
                ],
            ],
            'fish' => [],
            'feed_g_d' => 0,
            'every' => 2,
            'story' => [
                'days' => 23,
                'start' => [
                    'tan_mg_l' => 4,
                    'no2_n_mg_l' => 0,
                    'no3_n_mg_l' => 3.2,
                    'alkalinity_mg_l' => 196,
                ],
                'grown' => 0.0011,
                'warmth' => ['mean' => 22, 'swing' => 1, 'weather' => 0.2],
                'oxygen' => 0.95,
                'co2_mg_l' => 1.6,
                'trickle_pct_d' => 0,
                'source' => 'borehole',
                'events' => [11 => [['ammonia', 4]], 7 => [['ammonia', 4]], 4 => [['ammonia', 3]]],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function yardPond(): array
    {
        return [
            'name' => 'Yard Pond',
            'kind' => 'display',
            'life_stage' => 'adult',
            'vessels' => [
                [
                    'name' => 'Pond',
                    'kind' => 'pond',
                    'shape' => 'sections',
                    'measures' => [
                        'stations' => [
                            ['at_m' => 0, 'area_m2' => 0],
                            ['at_m' => 1.75, 'area_m2' => 3.9],
                            ['at_m' => 3.5, 'area_m2' => 6.4],
                            ['at_m' => 5.25, 'area_m2' => 5.2],
                            ['at_m' => 7, 'area_m2' => 0.4],
                        ],
                    ],
                    'overflow' => true,
                    'float_valve' => true,
                    'refill_l_min' => 18,
                    'shade' => 'part',
                    'plants_m2' => 9,
                    'silt_m2' => 6,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Brushes',
                    'kind' => 'brush',
                    'medium' => 'brush',
                    'media_l' => 420,
                    'since' => self::daysAgo(1900),
                    'flow_l_h' => 14000,
                    'cleaned_on' => self::daysAgo(16),
                    'loss_mm' => 15,
                    'rim_mm' => 60,
                ],
                [
                    'name' => 'Matting bay',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 300,
                    'since' => self::daysAgo(1900),
                    'flow_l_h' => 14000,
                    'cleaned_on' => self::daysAgo(31),
                    'loss_mm' => 7,
                    'rim_mm' => 60,
                    'may_drop_mm' => 150,
                ],
                [
                    'name' => 'Fine mats on top',
                    'kind' => 'matting',
                    'medium' => 'fine_matting',
                    'media_l' => 120,
                    'since' => self::daysAgo(1900),
                    'flow_l_h' => 14000,
                    'cleaned_on' => self::daysAgo(31),
                    'loss_mm' => 3,
                    'lies_in' => 'Matting bay',
                ],
                [
                    'name' => 'Bog',
                    'kind' => 'bog',
                    'medium' => 'gravel_10_20',
                    'media_l' => 1800,
                    'since' => self::daysAgo(900),
                    'flow_l_h' => 3000,
                ],
                [
                    'name' => 'UV lamp',
                    'kind' => 'uv',
                    'flow_l_h' => 14000,
                    'bypassable' => true,
                    'lamp_w' => 110,
                    'lamp_fitted_on' => self::daysAgo(160),
                    'sleeve_wiped_on' => self::daysAgo(101),
                ],
            ],
            'fish' => [
                ['name' => 'Pond koi', 'count' => 16, 'length_cm' => 58],
                ['name' => 'Old females', 'count' => 6, 'length_cm' => 69],
            ],
            'feed_g_d' => 180,
            'schools' => ['nitrate' => ['forty', 'grown fish; plants and bog do the rest']],
            'notes' => [
                [104, ['green water'], 'Disc seen to 40 cm at the bridge. Fish well.'],
                [97, ['green water'], 'UV on. 35 cm at the bridge.'],
                [90, [], '60 cm at the bridge.'],
                [38, ['hanging'], 'Oxygen 4.9 at five in the morning after a warm, still night. Second stone in.'],
                [37, ['fed well'], '6.1 at dawn with two stones.'],
                [3, ['clear water', 'leaves'], ''],
            ],
            'probes' => true,
            'every' => 3.5,
            'switched' => [[24, 18, 'UV lamp', 'alternate', 'water is clear: every other day does']],
            'served' => [
                [16, 'Brushes', 'wash_brushes', 40],
                [31, 'Matting bay', 'wash_pads', 45],
                [6, 'Pond', 'vacuum', 55],
                [140, 'Bog', 'purge_bog', 60],
                [75, 'Main pump', 'clean_impeller', 25],
                [33, 'Circulator', 'clean_circulator', 9],
            ],
            // A week with the lamp, at the same spot.
            'sight' => [[162, 45], [153, 80], [12, 95]],
            'story' => [
                'days' => 180,
                'start' => [
                    'tan_mg_l' => 0.05,
                    'no2_n_mg_l' => 0.01,
                    'no3_n_mg_l' => 3,
                    'alkalinity_mg_l' => 150,
                ],
                'grown' => 0.5,
                'warmth' => ['mean' => 13, 'swing' => 8, 'weather' => 1.5],
                'oxygen' => 0.8,
                'daily_swing' => ['temp_c' => 0.9, 'do_mg_l' => 1.1, 'ph' => 0.15],
                'co2_mg_l' => 1.7,
                'trickle_pct_d' => 2.5,
                'source' => 'borehole',
                'plants_m2' => 9,
                'bog_m2' => 8,
                'events' => [],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function nursery(): array
    {
        $tub = [
            'kind' => 'tub',
            'shape' => 'cylinder',
            'measures' => ['diameter_m' => 0.9, 'depth_m' => 0.65],
            'freeboard_m' => 0.1,
            'netted' => true,
            'overflow' => true,
            'shade' => 'full',
        ];

        return [
            'name' => 'Nursery',
            'kind' => 'fry',
            'life_stage' => 'fry',
            'vessels' => [
                ['name' => 'Tub 1', ...$tub],
                ['name' => 'Tub 2', ...$tub],
                ['name' => 'Tub 3', ...$tub],
                ['name' => 'Tub 4', ...$tub],
                [
                    'name' => 'Sump',
                    'kind' => 'sump',
                    'shape' => 'box',
                    'measures' => ['length_m' => 1.2, 'width_m' => 0.6, 'depth_m' => 0.6],
                    'freeboard_m' => 0.15,
                    'level_mm' => -600,
                    'float_valve' => true,
                    'refill_l_min' => 6,
                    'overflow' => true,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Sponge',
                    'kind' => 'sponge',
                    'medium' => 'foam_20ppi',
                    'media_l' => 25,
                    'since' => self::daysAgo(420),
                    'flow_l_h' => 2400,
                    'fouling_pct' => 15,
                    'loss_mm' => 40,
                ],
                [
                    'name' => 'Bead',
                    'kind' => 'static_bed',
                    'medium' => 'floating_bead',
                    'media_l' => 160,
                    'since' => self::daysAgo(420),
                    'flow_l_h' => 2400,
                    'loss_mm' => 150,
                    'under_pressure' => true,
                    'may_press_m' => 10,
                ],
            ],
            'fish' => [
                ['name' => 'Fry, first cull', 'count' => 380, 'length_cm' => 6],
                ['name' => 'Fry, forward', 'count' => 220, 'length_cm' => 8.2],
            ],
            'feed_g_d' => 35,
            'every' => 1.5,
            'story' => [
                'days' => 70,
                'start' => [
                    'tan_mg_l' => 0.05,
                    'no2_n_mg_l' => 0.02,
                    'no3_n_mg_l' => 1.7,
                    'alkalinity_mg_l' => 100,
                ],
                'grown' => 0.3,
                'warmth' => ['mean' => 22.5, 'swing' => 1.5, 'weather' => 0.3],
                'oxygen' => 0.86,
                'co2_mg_l' => 3,
                'trickle_pct_d' => 40,
                'source' => 'half RO',
                'events' => [],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function hospitalTub(): array
    {
        return [
            'name' => 'Hospital tub',
            'kind' => 'hospital',
            'life_stage' => 'quarantine',
            'vessels' => [
                [
                    'name' => 'Tub',
                    'kind' => 'tub',
                    'shape' => 'cylinder',
                    'measures' => ['diameter_m' => 1.1, 'depth_m' => 0.75],
                    'freeboard_m' => 0.12,
                    'netted' => true,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Air-driven sponge',
                    'kind' => 'sponge',
                    'medium' => 'foam_10ppi',
                    'media_l' => 8,
                    'since' => self::daysAgo(12),
                    'flow_l_h' => 500,
                    'loss_mm' => 2,
                    'inside' => 'Tub',
                    'fed' => 'air',
                ],
            ],
            'fish' => [
                ['name' => 'Ulcer, left flank', 'count' => 1, 'length_cm' => 47, 'arrived_on' => self::daysAgo(6)],
            ],
            'seed' => ['yard-pond', 2, 6],
            'feed_g_d' => 3,
            'charges' => [[6, 'zeolite', 900, 1]],
            'notes' => [
                [
                    6,
                    ['ulcer'],
                    'Moved here from the Yard Pond. Sponge is young, so two litres of the pond’s mats with it, and a ' .
                    'charge of zeolite for the ammonia.',
                ],
                [1, [], 'Salt would do the sore good; the charge has to come out first.'],
            ],
            'every' => 1,
            'story' => [
                'days' => 12,
                'start' => [
                    'tan_mg_l' => 0.1,
                    'no2_n_mg_l' => 0.02,
                    'no3_n_mg_l' => 3.2,
                    'alkalinity_mg_l' => 190,
                ],
                'grown' => 0.2,
                'load_share' => 0.35,
                'warmth' => ['mean' => 20, 'swing' => 1, 'weather' => 0.2],
                'oxygen' => 0.88,
                'co2_mg_l' => 4,
                'trickle_pct_d' => 10,
                'source' => 'borehole',
                'events' => [],
            ],
        ];
    }

    private static function daysAgo(int $days): string
    {
        return Carbon::now()->subDays($days)->toDateString();
    }
}
