<?php

declare(strict_types=1);

namespace Database\Seeders;

/**
 * Pumps and lines of the demo's systems.
 *
 * A line is name, from, to, bore in mm, length in m, fittings, and what else there is to it. Ends are
 * written by name: `v` a vessel, `s` a stage, `p` a pump.
 */
final readonly class DemoPlumbing
{
    /**
     * @return array{pumps: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
     *     outlets?: list<array<array-key, mixed>>, lines: list<array<array-key, mixed>>}
     */
    public static function of(string $system): array
    {
        return match ($system) {
            'Press Room' => self::pressRoom(),
            'Arrivals' => self::arrivals(),
            'Cold Store' => self::coldStore(),
            'Yard Pond' => self::yardPond(),
            'Nursery' => self::nursery(),
            default => [
                'pumps' => [
                    [
                        'name' => 'Airlift',
                        'kind' => 'airlift',
                        'air_l_min' => 12,
                        'power_w' => 9,
                        'circuit' => 'Ring 2',
                        'inside' => 'Tub',
                        'submergence_m' => 0.5,
                        'lift_m' => 0.03,
                        'riser_mm' => 25,
                    ],
                ],
                'lines' => [['Riser', 's:Air-driven sponge', 'p:Airlift', 25, 0.1, ['exit' => 1], 'guarded' => true]],
            ],
        };
    }

    /**
     * @return array{pumps: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
     *     outlets?: list<array<array-key, mixed>>, lines: list<array<array-key, mixed>>}
     */
    private static function pressRoom(): array
    {
        $drain = ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1];
        $return = ['elbow_90' => 2, 'tee_branch' => 1, 'exit' => 1];
        $mouth = ['intake' => 'bottom_drain', 'spot' => 'middle'];
        $jet = ['outlet' => 'jet', 'spot' => 'one_end', 'aim' => 'along'];

        return [
            'pumps' => [
                [
                    'name' => 'Main pump',
                    'kind' => 'water',
                    'power_w' => 115,
                    'circuit' => 'Ring 1',
                    'curve' => self::curve([0, 3.4], [5000, 2.9], [10000, 1.6], [14000, 0.3]),
                ],
                [
                    'name' => 'Air pump, bays',
                    'kind' => 'air',
                    'air_l_min' => 80,
                    'power_w' => 60,
                    'circuit' => 'Ring 2',
                    'diffuser' => 'stone',
                    'depth_m' => 0.7,
                ],
                [
                    'name' => 'Air pump, moving bed',
                    'kind' => 'air',
                    'air_l_min' => 60,
                    'power_w' => 42,
                    'circuit' => 'Ring 2',
                    'diffuser' => 'stone',
                    'depth_m' => 0.9,
                ],
            ],
            'outlets' => [
                ['Stone in bay 1', 'Air pump, bays', 'v:Bay 1', 'valve' => false],
                ['Stone in bay 2', 'Air pump, bays', 'v:Bay 2', 'valve' => false],
                ['Stones in bay 3', 'Air pump, bays', 'v:Bay 3', 'share' => 2],
                ['Ring under the carrier', 'Air pump, moving bed', 's:Moving bed', 'valve' => false],
            ],
            'junctions' => [['name' => 'Return manifold']],
            'lines' => [
                ['Drain 1', 'v:Bay 1', 's:Vortex', 103.6, 5.5, $drain, 'valve_open_pct' => 100, ...$mouth],
                ['Drain 2', 'v:Bay 2', 's:Vortex', 103.6, 3.8, $drain, 'valve_open_pct' => 100, ...$mouth],
                ['Drain 3', 'v:Bay 3', 's:Vortex', 103.6, 6.2, $drain, 'valve_open_pct' => 100, ...$mouth],
                ['Vortex to brushes', 's:Vortex', 's:Brushes', 152, 0.5, ['entry_sharp' => 1, 'exit' => 1]],
                ['Brushes to moving bed', 's:Brushes', 's:Moving bed', 152, 0.5, ['entry_sharp' => 1, 'exit' => 1]],
                [
                    'Suction',
                    's:Moving bed',
                    'p:Main pump',
                    63,
                    1.4,
                    ['strainer' => 1, 'bend_90' => 1],
                    'valve_open_pct' => 100,
                    'check_valve' => true,
                    'mouth_mm' => 550,
                ],
                ['Delivery', 'p:Main pump', 's:UV lamp', 56, 1.2, ['elbow_90' => 1, 'swing_check' => 1]],
                ['Return pipe', 's:UV lamp', 'j:Return manifold', 63, 2.0, ['bend_90' => 1]],
                ['Return 1', 'j:Return manifold', 'v:Bay 1', 43, 5.0, $return, 'valve_open_pct' => 90, ...$jet],
                ['Return 2', 'j:Return manifold', 'v:Bay 2', 43, 2.5, $return, 'valve_open_pct' => 75, ...$jet],
                ['Return 3', 'j:Return manifold', 'v:Bay 3', 43, 6.5, $return, 'valve_open_pct' => 100, ...$jet],
                [
                    'Vortex waste',
                    's:Vortex',
                    'outside',
                    50,
                    3.0,
                    ['entry_sharp' => 1],
                    'valve_open_pct' => 0,
                    'leads_to' => 'soakaway',
                    'fall_mm' => 700,
                ],
            ],
        ];
    }

    /**
     * @return array{pumps: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
     *     outlets?: list<array<array-key, mixed>>, lines: list<array<array-key, mixed>>}
     */
    private static function arrivals(): array
    {
        return [
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 48,
                    'circuit' => 'Ring 1',
                    'curve' => self::curve([0, 3.0], [3000, 2.4], [6000, 1.2], [8000, 0.2]),
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 40,
                    'power_w' => 30,
                    'circuit' => 'Ring 3',
                ],
                ['name' => 'Heater', 'kind' => 'heater', 'power_w' => 1500, 'circuit' => 'Ring 1'],
            ],
            'lines' => [
                [
                    'Drain east',
                    'v:Tub east',
                    's:Compact sieve',
                    75.8,
                    2.4,
                    ['drain_dome' => 1, 'bend_90' => 1, 'exit' => 1],
                    'valve_open_pct' => 100,
                ],
                [
                    'Drain west',
                    'v:Tub west',
                    's:Compact sieve',
                    75.8,
                    3.6,
                    ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1],
                    'valve_open_pct' => 100,
                ],
                ['Sieve to matting', 's:Compact sieve', 's:Matting', 103.6, 0.4, ['entry_sharp' => 1, 'exit' => 1]],
                ['Suction', 's:Matting', 'p:Pump', 50, 0.8, ['strainer' => 1, 'elbow_90' => 1], 'check_valve' => true],
                [
                    'Return east',
                    'p:Pump',
                    'v:Tub east',
                    38,
                    3.0,
                    ['elbow_90' => 3, 'spray_bar' => 1],
                    'valve_open_pct' => 100,
                    'ends_above_mm' => 150,
                    'outlet' => 'spray_bar',
                ],
                [
                    'Return west',
                    'p:Pump',
                    'v:Tub west',
                    38,
                    4.0,
                    ['elbow_90' => 4, 'spray_bar' => 1],
                    'valve_open_pct' => 100,
                    'ends_above_mm' => 150,
                    'outlet' => 'spray_bar',
                ],
            ],
        ];
    }

    /**
     * @return array{pumps: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
     *     outlets?: list<array<array-key, mixed>>, lines: list<array<array-key, mixed>>}
     */
    private static function coldStore(): array
    {
        return [
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 95,
                    'circuit' => 'Cold store',
                    'curve' => self::curve([0, 5.5], [2500, 4.6], [5000, 3.0], [7500, 0.8]),
                    'above_mm' => 350,
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 30,
                    'power_w' => 22,
                    'circuit' => 'Cold store',
                ],
            ],
            'lines' => [
                [
                    'Floor suction',
                    'v:Bay',
                    'p:Pump',
                    50,
                    2.0,
                    ['strainer' => 1, 'elbow_90' => 2],
                    'valve_open_pct' => 60,
                    'check_valve' => true,
                    'guarded' => true,
                    'intake' => 'wall',
                    'spot' => 'one_end',
                ],
                [
                    'High sponge',
                    'v:Bay',
                    'p:Pump',
                    50,
                    1.2,
                    ['strainer' => 1, 'elbow_90' => 2],
                    'valve_open_pct' => 40,
                    'check_valve' => true,
                    'guarded' => true,
                    'intake' => 'high_sponge',
                    'spot' => 'one_end',
                    'three_way' => 'Floor suction',
                ],
                ['Delivery', 'p:Pump', 's:Static bead', 38, 1.5, ['elbow_90' => 2]],
                ['Riser', 's:Static bead', 's:Shower', 38, 1.8, ['elbow_90' => 2]],
                [
                    'Fall to the bay',
                    's:Shower',
                    'v:Bay',
                    50,
                    0.4,
                    ['spray_bar' => 1],
                    'ends_above_mm' => 1250,
                    'spot' => 'far_end',
                ],
            ],
        ];
    }

    /**
     * @return array{pumps: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
     *     outlets?: list<array<array-key, mixed>>, lines: list<array<array-key, mixed>>}
     */
    private static function yardPond(): array
    {
        $drain = ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1];

        return [
            'pumps' => [
                [
                    'name' => 'Main pump',
                    'kind' => 'water',
                    'power_w' => 160,
                    'circuit' => 'Yard',
                    'curve' => self::curve([0, 4.2], [8000, 3.4], [15000, 1.7], [20000, 0.3]),
                ],
                [
                    'name' => 'Bog pump',
                    'kind' => 'water',
                    'power_w' => 35,
                    'circuit' => 'Yard',
                    'curve' => self::curve([0, 2.2], [2500, 1.6], [5000, 0.4]),
                ],
                [
                    'name' => 'Circulator',
                    'kind' => 'circulator',
                    'rated_l_h' => 16000,
                    'inside' => 'Pond',
                    'spot' => 'far_end',
                    'aim' => 'along',
                    'guarded' => true,
                    'power_w' => 40,
                    'circuit' => 'Yard',
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 60,
                    'power_w' => 45,
                    'circuit' => 'House',
                    'diffuser' => 'fine',
                    'depth_m' => 1.2,
                ],
            ],
            'lines' => [
                ['Drain north', 'v:Pond', 's:Brushes', 103.6, 7.5, $drain, 'valve_open_pct' => 100, 'spot' => 'middle'],
                [
                    'Drain south',
                    'v:Pond',
                    's:Brushes',
                    103.6,
                    9.0,
                    $drain,
                    'valve_open_pct' => 100,
                    'spot' => 'far_end',
                ],
                ['Brushes to matting', 's:Brushes', 's:Matting bay', 152, 0.6, ['entry_sharp' => 1, 'exit' => 1]],
                [
                    'Suction',
                    's:Matting bay',
                    'p:Main pump',
                    75,
                    1.6,
                    ['strainer' => 1, 'bend_90' => 2],
                    'valve_open_pct' => 100,
                ],
                [
                    'Brush waste',
                    's:Brushes',
                    'outside',
                    103.6,
                    4.0,
                    ['entry_sharp' => 1, 'exit' => 1],
                    'valve_open_pct' => 0,
                    'leads_to' => 'garden',
                    'fall_mm' => 900,
                ],
                ['Delivery', 'p:Main pump', 's:UV lamp', 63, 2.0, ['elbow_90' => 2]],
                [
                    'Return',
                    's:UV lamp',
                    'v:Pond',
                    63,
                    9.0,
                    ['bend_90' => 3, 'exit' => 1],
                    'outlet' => 'jet',
                    'spot' => 'one_end',
                    'aim' => 'along',
                ],
                ['Bog suction', 's:Matting bay', 'p:Bog pump', 50, 1.0, ['strainer' => 1]],
                ['To the bog', 'p:Bog pump', 's:Bog', 38, 5.0, ['elbow_90' => 2]],
                [
                    'Bog spill',
                    's:Bog',
                    'v:Pond',
                    103.6,
                    0.8,
                    ['exit' => 1],
                    'ends_above_mm' => 180,
                    'outlet' => 'waterfall',
                    'spot' => 'one_end',
                    'aim' => 'across',
                ],
            ],
        ];
    }

    /**
     * @return array{pumps: list<array<string, mixed>>, junctions?: list<array<string, mixed>>,
     *     outlets?: list<array<array-key, mixed>>, lines: list<array<array-key, mixed>>}
     */
    private static function nursery(): array
    {
        $feed = static fn(int $tub, float $length): array => [
            "Feed {$tub}",
            'j:Feed manifold',
            "v:Tub {$tub}",
            20,
            $length,
            ['elbow_90' => 3],
            'valve_open_pct' => 80,
            'ends_above_mm' => 50,
            'outlet' => 'spray_bar',
        ];
        $fall = static fn(int $tub, float $length): array => [
            "Fall {$tub}",
            "v:Tub {$tub}",
            'v:Sump',
            46,
            $length,
            ['entry_sharp' => 1, 'bend_90' => 1],
            'guarded' => true,
            'intake' => 'overflow',
        ];

        return [
            'pumps' => [
                [
                    'name' => 'Sump pump',
                    'kind' => 'water',
                    'power_w' => 38,
                    'circuit' => 'Ring 3',
                    'curve' => self::curve([0, 3.2], [1500, 2.5], [3000, 1.3], [4000, 0.3]),
                ],
                [
                    'name' => 'Air pump',
                    'kind' => 'air',
                    'air_l_min' => 30,
                    'power_w' => 22,
                    'circuit' => 'Ring 2',
                ],
            ],
            'outlets' => [
                ['Stone in tub 1', 'Air pump', 'v:Tub 1'],
                ['Stone in tub 2', 'Air pump', 'v:Tub 2'],
                ['Stone in tub 3', 'Air pump', 'v:Tub 3'],
                ['Stone in tub 4', 'Air pump', 'v:Tub 4'],
                ['Wash of the bead', 'Air pump', 's:Bead', 'open' => false],
            ],
            'junctions' => [['name' => 'Feed manifold']],
            'lines' => [
                [
                    'Suction',
                    'v:Sump',
                    'p:Sump pump',
                    38,
                    0.5,
                    ['strainer' => 1],
                    'valve_open_pct' => 100,
                    'check_valve' => true,
                    'guarded' => true,
                ],
                ['Delivery', 'p:Sump pump', 's:Sponge', 32, 0.8, ['elbow_90' => 1]],
                ['Sponge to bead', 's:Sponge', 's:Bead', 32, 0.6, ['elbow_90' => 2]],
                ['Feed pipe', 's:Bead', 'j:Feed manifold', 32, 1.0, ['elbow_90' => 1]],
                $feed(1, 1.5),
                $feed(2, 2.3),
                $feed(3, 3.1),
                $feed(4, 3.9),
                $fall(1, 1.2),
                $fall(2, 2.0),
                $fall(3, 2.8),
                $fall(4, 3.6),
                [
                    'Bead waste',
                    's:Bead',
                    'outside',
                    32,
                    2.5,
                    ['elbow_90' => 1],
                    'valve_open_pct' => 0,
                    'leads_to' => 'sewer',
                    'fall_mm' => 900,
                ],
            ],
        ];
    }

    /**
     * @param  array{float|int, float}  ...$points  L/h and m
     * @return list<array{flow_l_h: float|int, head_m: float}>
     */
    private static function curve(array ...$points): array
    {
        return array_map(
            static fn(array $point): array => ['flow_l_h' => $point[0], 'head_m' => $point[1]],
            array_values($points),
        );
    }
}
