<?php

declare(strict_types=1);

namespace App\Build;

use Ironwort\Core\Flow\PumpCurve;

/**
 * Builds to start from whose water goes round in other ways than by a drain of its own from every bay: one collecting
 * pipe, a sump below, a box that stands in the vessel with its pump in it.
 *
 * Common practice, no source: 4 inch collecting pipe, tubs that spill into a sump, turnover once an hour and more.
 *
 * @phpstan-import-type Plan from BuildTemplates
 */
final readonly class WaysRound
{
    /** @return Plan five bays on one collecting pipe, one return that feeds them all */
    public static function collectingPipe(): array
    {
        $bays = range(1, 5);

        return [
            'vessels' => array_map(
                static fn(int $n): array => [
                    'name' => "Bay {$n}",
                    'kind' => 'bay',
                    'shape' => 'box',
                    'measures' => [
                        'length_m' => 1.9,
                        'width_m' => 1.5,
                        'depth_m' => 1.15,
                        'floor' => 'coned',
                        'floor_m' => 0.15,
                    ],
                    'freeboard_m' => 0.12,
                    'netted' => true,
                    'overflow' => true,
                ],
                $bays,
            ),
            'stages' => [
                self::chamber('Settlement', 'settlement', 'chamber_walls', 400),
                self::chamber('Brushes', 'brush', 'brush', 150),
                self::chamber('Matting', 'matting', 'coarse_matting', 250),
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 140,
                    'curve' => BuildTemplates::curve([0, 5], [8000, 4], [14000, 2], [18000, 0.4]),
                ],
                ['name' => 'Air pump', 'kind' => 'air', 'air_l_min' => 80, 'power_w' => 60],
            ],
            'junctions' => [['name' => 'Collector'], ['name' => 'Manifold']],
            'lines' => [
                ...array_map(
                    static fn(int $n): array => [
                        "Drain {$n}",
                        "v:Bay {$n}",
                        'j:Collector',
                        103.6,
                        1.5,
                        ['drain_dome' => 1, 'bend_90' => 1],
                        'valve_open_pct' => 100,
                        'intake' => 'bottom_drain',
                    ],
                    $bays,
                ),
                ['Collecting pipe', 'j:Collector', 's:Settlement', 152, 6, ['exit' => 1], 'valve_open_pct' => 100],
                ['Settlement to brushes', 's:Settlement', 's:Brushes', 152, 0.5, ['entry_sharp' => 1, 'exit' => 1]],
                ['Brushes to matting', 's:Brushes', 's:Matting', 152, 0.5, ['entry_sharp' => 1, 'exit' => 1]],
                ['Suction', 's:Matting', 'p:Pump', 75, 1, ['strainer' => 1, 'bend_90' => 1]],
                ['Return pipe', 'p:Pump', 'j:Manifold', 63, 3, ['bend_90' => 2]],
                ...array_map(
                    static fn(int $n): array => [
                        "Return {$n}",
                        'j:Manifold',
                        "v:Bay {$n}",
                        43,
                        2,
                        ['tee_branch' => 1, 'exit' => 1],
                        'valve_open_pct' => 100,
                        'outlet' => 'jet',
                    ],
                    $bays,
                ),
            ],
        ];
    }

    /** @return Plan tubs that spill into a sump, which a pump feeds back through a bead vessel */
    public static function sumpBelow(): array
    {
        $tubs = range(1, 3);

        return [
            'vessels' => [
                ...array_map(
                    static fn(int $n): array => [
                        'name' => "Tub {$n}",
                        'kind' => 'tub',
                        'shape' => 'cylinder',
                        'measures' => ['diameter_m' => 1.2, 'depth_m' => 0.8],
                        'freeboard_m' => 0.12,
                        'netted' => true,
                    ],
                    $tubs,
                ),
                [
                    'name' => 'Sump',
                    'kind' => 'sump',
                    'shape' => 'box',
                    'measures' => ['length_m' => 1.2, 'width_m' => 0.8, 'depth_m' => 0.6],
                    'freeboard_m' => 0.25,
                    'level_mm' => -700,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Bead vessel',
                    'kind' => 'bead_vessel',
                    'medium' => 'floating_bead',
                    'media_l' => 40,
                    'flow_l_h' => 3000,
                    'loss_mm' => 400,
                    'fed' => 'pumped',
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Sump pump',
                    'kind' => 'water',
                    'power_w' => 65,
                    'curve' => BuildTemplates::curve([0, 4.5], [2500, 3.6], [5000, 2], [7000, 0.4]),
                ],
                ['name' => 'Air pump', 'kind' => 'air', 'air_l_min' => 40, 'power_w' => 30],
            ],
            'junctions' => [['name' => 'Manifold']],
            'lines' => [
                ['Suction', 'v:Sump', 'p:Sump pump', 50, 0.5, ['strainer' => 1], 'valve_open_pct' => 100],
                ['Delivery', 'p:Sump pump', 's:Bead vessel', 38, 1.5, ['elbow_90' => 2]],
                ['Feed pipe', 's:Bead vessel', 'j:Manifold', 38, 1.5, ['elbow_90' => 2]],
                ...array_map(
                    static fn(int $n): array => [
                        "Feed {$n}",
                        'j:Manifold',
                        "v:Tub {$n}",
                        25,
                        1.5,
                        ['tee_branch' => 1, 'exit' => 1],
                        'valve_open_pct' => 100,
                        'ends_above_mm' => 50,
                        'outlet' => 'spray_bar',
                    ],
                    $tubs,
                ),
                ...array_map(
                    static fn(int $n): array => [
                        "Fall {$n}",
                        "v:Tub {$n}",
                        'v:Sump',
                        69,
                        1.5,
                        ['entry_sharp' => 1, 'bend_90' => 1],
                        'guarded' => true,
                        'intake' => 'overflow',
                    ],
                    $tubs,
                ),
            ],
        ];
    }

    /** @return Plan a box of mats that stands in the vat, its pump behind the mats */
    public static function boxInside(): array
    {
        return [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'vat',
                    'shape' => 'box',
                    'measures' => ['length_m' => 2.4, 'width_m' => 1.4, 'depth_m' => 0.8],
                    'freeboard_m' => 0.1,
                    'netted' => true,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Box of mats',
                    'kind' => 'matting',
                    'medium' => 'coarse_matting',
                    'media_l' => 60,
                    'flow_l_h' => 2500,
                    'loss_mm' => 20,
                    'inside' => 'Vat',
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 30,
                    'curve' => BuildTemplates::curve([0, 2.2], [2500, 1.3], [5000, 0.2]),
                    'inside' => 'Vat',
                ],
                ['name' => 'Air pump', 'kind' => 'air', 'air_l_min' => 30, 'power_w' => 22],
            ],
            'lines' => [
                ['Behind the mats', 's:Box of mats', 'p:Pump', 75, 0.1, ['strainer' => 1]],
                [
                    'Return',
                    'p:Pump',
                    'v:Vat',
                    32,
                    2,
                    ['elbow_90' => 3, 'exit' => 1],
                    'ends_above_mm' => 50,
                    'outlet' => 'jet',
                ],
            ],
        ];
    }

    /** @return Plan a closed vessel of beads between the pump and the vat, with a waste to backwash it by */
    public static function pressureVessel(): array
    {
        return [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'vat',
                    'shape' => 'box',
                    'measures' => ['length_m' => 3, 'width_m' => 1.8, 'depth_m' => 1.1],
                    'freeboard_m' => 0.12,
                    'netted' => true,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Sieve',
                    'kind' => 'sieve',
                    'medium' => 'chamber_walls',
                    'media_l' => 60,
                    'flow_l_h' => 6000,
                    'loss_mm' => 10,
                    'rim_mm' => 120,
                    'may_drop_mm' => 250,
                ],
                [
                    'name' => 'Bead vessel',
                    'kind' => 'bead_vessel',
                    'medium' => 'floating_bead',
                    'media_l' => 85,
                    'flow_l_h' => 6000,
                    'loss_mm' => 1500,
                    'fed' => 'pumped',
                    'under_pressure' => true,
                    'may_press_m' => 15,
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump',
                    'kind' => 'water',
                    'power_w' => 250,
                    'curve' => BuildTemplates::curve([0, 9], [4000, 7.5], [8000, 5], [12000, 1]),
                ],
                ['name' => 'Air pump', 'kind' => 'air', 'air_l_min' => 60, 'power_w' => 45],
            ],
            'lines' => [
                [
                    'Drain',
                    'v:Vat',
                    's:Sieve',
                    103.6,
                    3,
                    ['drain_dome' => 1, 'bend_90' => 2, 'exit' => 1],
                    'valve_open_pct' => 100,
                    'intake' => 'bottom_drain',
                ],
                ['Suction', 's:Sieve', 'p:Pump', 57, 1, ['strainer' => 1, 'elbow_90' => 1]],
                ['Delivery', 'p:Pump', 's:Bead vessel', 57, 1.5, ['elbow_90' => 2]],
                [
                    'Return',
                    's:Bead vessel',
                    'v:Vat',
                    57,
                    4,
                    ['elbow_90' => 3, 'exit' => 1],
                    'valve_open_pct' => 100,
                    'ends_above_mm' => 100,
                    'outlet' => 'jet',
                ],
                ['Backwash', 's:Bead vessel', 'outside', 57, 6, ['elbow_90' => 2], 'valve_open_pct' => 0],
            ],
        ];
    }

    /** @return Plan a vat that stands for some weeks: a basket of foam with its pump in it, and air */
    public static function temporaryVat(): array
    {
        return [
            'vessels' => [
                [
                    'name' => 'Vat',
                    'kind' => 'vat',
                    'shape' => 'cylinder',
                    'measures' => ['diameter_m' => 1.8, 'depth_m' => 0.75],
                    'freeboard_m' => 0.12,
                    'netted' => true,
                ],
            ],
            'stages' => [
                [
                    'name' => 'Basket',
                    'kind' => 'sponge',
                    'medium' => 'foam_10ppi',
                    'media_l' => 40,
                    'flow_l_h' => 3000,
                    'loss_mm' => 15,
                    'inside' => 'Vat',
                ],
            ],
            'pumps' => [
                [
                    'name' => 'Pump of Basket',
                    'kind' => 'water',
                    'power_w' => 25,
                    'curve' => PumpCurve::guessed(4000, 2),
                    'inside' => 'Vat',
                ],
                ['name' => 'Air pump', 'kind' => 'air', 'air_l_min' => 30, 'power_w' => 22],
            ],
            'lines' => [
                ['Basket to pump', 's:Basket', 'p:Pump of Basket', 75, 0.1, ['strainer' => 1], 'guarded' => true],
            ],
        ];
    }

    /** @return array<string, mixed> columns of an open chamber on the level of the bays */
    private static function chamber(string $name, string $kind, string $medium, float $litres): array
    {
        return [
            'name' => $name,
            'kind' => $kind,
            'medium' => $medium,
            'media_l' => $litres,
            'flow_l_h' => 14000,
            'loss_mm' => 8,
            'rim_mm' => 100,
            'may_drop_mm' => 250,
        ];
    }
}
