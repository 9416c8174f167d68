<?php

declare(strict_types=1);

namespace App\Build;

/**
 * Builds to start from. Every measure in them is a common one and is there to be changed.
 *
 * Common practice, no source: 4 inch drains, a rim 100 mm above the water, turnover about once an hour.
 *
 * @phpstan-type Plan array{vessels?: list<array<string, mixed>>, stages?: list<array<string, mixed>>,
 *     pumps?: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
 *     lines?: list<array<array-key, mixed>>}
 */
final readonly class BuildTemplates
{
    /** @return array<string, string> id to what it is, in a keeper's words */
    public static function names(): array
    {
        return [
            'gravity_loop' => 'Three bays, gravity-fed to vortex, brushes and moving bed, pumped back',
            'pump_box' => 'One vat, pump-fed box of mats, gravity return',
            'single_tub' => 'One tub with an air-driven sponge',
            'pond_bog' => 'Pond with two drains to mats, and a bog as a side stream',
            'quarantine_bays' => 'Two quarantine tubs on one small filter',
            'collecting_pipe' => 'Five bays on one collecting pipe, one return to all of them',
            'sump_below' => 'Three tubs that spill into a sump below, fed back through a bead vessel',
            'box_inside' => 'One vat with a box of mats standing in it, its pump inside',
            'pressure_vessel' => 'One vat, its pump pressing water through a closed vessel of beads',
            'temporary_vat' => 'A temporary vat with a basket and its pump standing in it',
        ];
    }

    /** @return Plan columns of each part */
    public static function plan(string $id): array
    {
        return match ($id) {
            'gravity_loop' => self::gravityLoop(),
            'pump_box' => self::pumpBox(),
            'single_tub' => [
                'vessels' => [
                    [
                        'name' => 'Tub',
                        'kind' => 'tub',
                        'shape' => 'cylinder',
                        'measures' => ['diameter_m' => 1.2, 'depth_m' => 0.75],
                        'freeboard_m' => 0.12,
                    ],
                ],
                'stages' => [
                    [
                        'name' => 'Air-driven sponge',
                        'kind' => 'sponge',
                        'medium' => 'foam_10ppi',
                        'media_l' => 8,
                        'flow_l_h' => 500,
                        'loss_mm' => 2,
                        'inside' => 'Tub',
                        'fed' => 'air',
                    ],
                ],
                'pumps' => [
                    [
                        'name' => 'Airlift',
                        'kind' => 'airlift',
                        'air_l_min' => 10,
                        'power_w' => 8,
                        'inside' => 'Tub',
                        'submergence_m' => 0.5,
                        'lift_m' => 0.03,
                        'riser_mm' => 25,
                    ],
                ],
                'lines' => [['Riser', 's:Air-driven sponge', 'p:Airlift', 25, 0.1, ['exit' => 1], 'guarded' => true]],
            ],
            'pond_bog' => self::pondBog(),
            'quarantine_bays' => self::quarantineBays(),
            'collecting_pipe' => WaysRound::collectingPipe(),
            'sump_below' => WaysRound::sumpBelow(),
            'box_inside' => WaysRound::boxInside(),
            'pressure_vessel' => WaysRound::pressureVessel(),
            'temporary_vat' => WaysRound::temporaryVat(),
            default => [],
        };
    }

    /**
     * @return Plan
     */
    private static function gravityLoop(): array
    {
        $bay = [
            'kind' => 'bay',
            'shape' => 'box',
            'measures' => ['length_m' => 2.5, 'width_m' => 1.5, 'depth_m' => 0.9],
            'freeboard_m' => 0.1,
        ];
        $drain = ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1];
        $return = ['elbow_90' => 2, 'tee_branch' => 1, 'exit' => 1];

        return [
            'vessels' => [['name' => 'Bay 1', ...$bay], ['name' => 'Bay 2', ...$bay], ['name' => 'Bay 3', ...$bay]],
            'stages' => [
                [
                    'name' => 'Vortex',
                    'kind' => 'vortex',
                    'medium' => 'chamber_walls',
                    'media_l' => 300,
                    'flow_l_h' => 9000,
                    'loss_mm' => 8,
                    'rim_mm' => 100,
                ],
                [
                    'name' => 'Brushes',
                    'kind' => 'brush',
                    'medium' => 'brush',
                    'media_l' => 200,
                    'flow_l_h' => 9000,
                    'loss_mm' => 12,
                    'rim_mm' => 100,
                ],
                [
                    'name' => 'Moving bed',
                    'kind' => 'moving_bed',
                    'medium' => 'moving_carrier',
                    'media_l' => 250,
                    'flow_l_h' => 9000,
                    'air_l_min' => 60,
                    'loss_mm' => 10,
                    'rim_mm' => 100,
                    'may_drop_mm' => 150,
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 110,
                    'curve' => self::curve([0, 3.4], [5000, 2.9], [10000, 1.6], [14000, 0.3]),
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 80,
                    'power_w' => 60,
                ],
            ],
            'lines' => [
                ['Drain 1', 'v:Bay 1', 's:Vortex', 103.6, 4, $drain, 'valve_open_pct' => 100],
                ['Drain 2', 'v:Bay 2', 's:Vortex', 103.6, 6, $drain, 'valve_open_pct' => 100],
                ['Drain 3', 'v:Bay 3', 's:Vortex', 103.6, 8, $drain, 'valve_open_pct' => 100],
                ['Vortex to brushes', 's:Vortex', 's:Brushes', 152, 0.5, ['entry_sharp' => 1, 'exit' => 1]],
                ['Brushes to moving bed', 's:Brushes', 's:Moving bed', 152, 0.5, ['entry_sharp' => 1, 'exit' => 1]],
                [
                    'Suction',
                    's:Moving bed',
                    'p:Pump',
                    63,
                    1.5,
                    ['strainer' => 1, 'bend_90' => 1],
                    'check_valve' => true,
                ],
                ['Return 1', 'p:Pump', 'v:Bay 1', 43, 5, $return, 'valve_open_pct' => 100, 'outlet' => 'jet'],
                ['Return 2', 'p:Pump', 'v:Bay 2', 43, 7, $return, 'valve_open_pct' => 100, 'outlet' => 'jet'],
                ['Return 3', 'p:Pump', 'v:Bay 3', 43, 9, $return, 'valve_open_pct' => 100, 'outlet' => 'jet'],
            ],
        ];
    }

    /**
     * @return Plan
     */
    private static function pumpBox(): array
    {
        return [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'vat',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 1.6, 'depth_m' => 1],
                    'freeboard_m' => 0.1,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Box',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 180,
                    'flow_l_h' => 5000,
                    'loss_mm' => 40,
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 70,
                    'curve' => self::curve([0, 4], [3000, 3], [6000, 1.2], [7500, 0.2]),
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 40,
                    'power_w' => 30,
                ],
            ],
            'lines' => [
                ['Suction', 'v:Vat', 'p:Pump', 50, 0.3, ['strainer' => 1], 'guarded' => true],
                ['Delivery', 'p:Pump', 's:Box', 40, 3, ['elbow_90' => 2]],
                [
                    'Fall',
                    's:Box',
                    'v:Vat',
                    75.8,
                    1,
                    ['entry_sharp' => 1, 'bend_90' => 1],
                    'ends_above_mm' => 500,
                    'outlet' => 'waterfall',
                ],
            ],
        ];
    }

    /**
     * @return Plan
     */
    private static function pondBog(): array
    {
        return [
            'vessels' => [
                [
                    'name' => 'Pond',
                    'kind' => 'pond',
                    'shape' => 'ellipse',
                    'measures' => ['length_m' => 6, 'width_m' => 3.5, 'depth_m' => 1.4],
                    'freeboard_m' => 0.1,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 400,
                    'flow_l_h' => 12000,
                    'loss_mm' => 15,
                    'rim_mm' => 100,
                    'may_drop_mm' => 150,
                ],
                [
                    'name' => 'Bog',
                    'kind' => 'bog',
                    'medium' => 'gravel_10_20',
                    'media_l' => 1500,
                    'flow_l_h' => 3000,
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Main pump',
                    'kind' => 'water',
                    'power_w' => 140,
                    'curve' => self::curve([0, 4], [8000, 3.2], [14000, 1.6], [18000, 0.3]),
                ],
                [
                    'name' => 'Bog pump',
                    'kind' => 'water',
                    'power_w' => 35,
                    'curve' => self::curve([0, 2.2], [2500, 1.6], [5000, 0.4]),
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 60,
                    'power_w' => 45,
                ],
            ],
            'lines' => [
                [
                    'Drain 1',
                    'v:Pond',
                    's:Mats',
                    103.6,
                    6,
                    ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1],
                    'valve_open_pct' => 100,
                ],
                [
                    'Drain 2',
                    'v:Pond',
                    's:Mats',
                    103.6,
                    8,
                    ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1],
                    'valve_open_pct' => 100,
                ],
                ['Suction', 's:Mats', 'p:Main pump', 75, 1.5, ['strainer' => 1, 'bend_90' => 1]],
                ['Return', 'p:Main pump', 'v:Pond', 63, 9, ['bend_90' => 3, 'exit' => 1], 'outlet' => 'jet'],
                ['Bog suction', 's:Mats', 'p:Bog pump', 50, 1, ['strainer' => 1]],
                ['To the bog', 'p:Bog pump', 's:Bog', 38, 5, ['elbow_90' => 2]],
                [
                    'Bog spill',
                    's:Bog',
                    'v:Pond',
                    103.6,
                    1,
                    ['exit' => 1],
                    'ends_above_mm' => 150,
                    'outlet' => 'waterfall',
                ],
            ],
        ];
    }

    /**
     * @return Plan
     */
    private static function quarantineBays(): array
    {
        $tub = [
            'kind' => 'tub',
            'shape' => 'cylinder',
            'measures' => ['diameter_m' => 1.8, 'depth_m' => 0.85],
            'freeboard_m' => 0.12,
        ];

        return [
            'vessels' => [['name' => 'Tub 1', ...$tub], ['name' => 'Tub 2', ...$tub]],
            'stages' => [
                [
                    'name' => 'Mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 80,
                    'flow_l_h' => 4500,
                    'loss_mm' => 15,
                    'rim_mm' => 100,
                    'may_drop_mm' => 130,
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 48,
                    'curve' => self::curve([0, 3], [3000, 2.4], [6000, 1.2], [8000, 0.2]),
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 40,
                    'power_w' => 30,
                ],
            ],
            'lines' => [
                [
                    'Drain 1',
                    'v:Tub 1',
                    's:Mats',
                    75.8,
                    2.5,
                    ['drain_dome' => 1, 'bend_90' => 1, 'exit' => 1],
                    'valve_open_pct' => 100,
                ],
                [
                    'Drain 2',
                    'v:Tub 2',
                    's:Mats',
                    75.8,
                    3.5,
                    ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1],
                    'valve_open_pct' => 100,
                ],
                ['Suction', 's:Mats', 'p:Pump', 50, 0.8, ['strainer' => 1, 'elbow_90' => 1], 'check_valve' => true],
                [
                    'Return 1',
                    'p:Pump',
                    'v:Tub 1',
                    38,
                    3,
                    ['elbow_90' => 3, 'spray_bar' => 1],
                    'valve_open_pct' => 100,
                    'ends_above_mm' => 120,
                    'outlet' => 'spray_bar',
                ],
                [
                    'Return 2',
                    'p:Pump',
                    'v:Tub 2',
                    38,
                    4,
                    ['elbow_90' => 4, 'spray_bar' => 1],
                    'valve_open_pct' => 100,
                    'ends_above_mm' => 120,
                    'outlet' => 'spray_bar',
                ],
            ],
        ];
    }

    /**
     * @param  array{int, float|int}  ...$points  L/h and m
     * @return list<array{flow_l_h: int, head_m: float|int}>
     */
    public static function curve(array ...$points): array
    {
        return array_map(
            static fn(array $point): array => ['flow_l_h' => $point[0], 'head_m' => $point[1]],
            array_values($points),
        );
    }
}
