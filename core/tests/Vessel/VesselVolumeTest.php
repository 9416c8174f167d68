<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Vessel;

use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Vessel\OpenSurface;
use Ironwort\Core\Vessel\Shape;
use Ironwort\Core\Vessel\WettedSurface;
use PHPUnit\Framework\TestCase;

/** Volumes against closed forms of solid geometry, worked out by another road than the code takes. */
final class VesselVolumeTest extends TestCase
{
    use Calculations;

    public function test_boxes_wedges_and_rounds(): void
    {
        $box = $this->calculate('volume.vessel', [
            'shape' => 'box',
            'length_m' => 2.4,
            'width_m' => 1.6,
            'depth_m' => 0.9,
            'freeboard_m' => 0.1,
            'displaced_l' => 72,
        ]);
        self::assertEqualsWithDelta(3000, $box->number('volume_l'), 1e-9);
        self::assertEqualsWithDelta(38.4, $box->number('per_cm_l'), 1e-9);

        // A wedge is half of the box made of it and its mirror image.
        $wedge = $this->figure(
            'volume.vessel',
            ['shape' => 'wedge', 'length_m' => 3, 'width_a_m' => 1, 'width_b_m' => 2, 'depth_m' => 1],
            'volume_l',
        );
        self::assertEqualsWithDelta((3 * 3 * 1 * 1000) / 2, $wedge, 1e-9);

        self::assertEqualsWithDelta(
            1000 * M_PI,
            $this->figure('volume.vessel', ['shape' => 'cylinder', 'diameter_m' => 2, 'depth_m' => 1], 'volume_l'),
            1e-9,
        );
        self::assertEqualsWithDelta(
            1000 * M_PI,
            $this->figure(
                'volume.vessel',
                ['shape' => 'ellipse', 'length_m' => 4, 'width_m' => 1, 'depth_m' => 1],
                'volume_l',
            ),
            1e-9,
        );
    }

    public function test_sloping_and_curved_bottoms(): void
    {
        // A half sphere is two thirds of the cylinder round it.
        $dish = $this->figure(
            'volume.vessel',
            ['shape' => 'dished_cylinder', 'diameter_m' => 2, 'side_depth_m' => 1, 'dish_depth_m' => 1],
            'volume_l',
        );
        self::assertEqualsWithDelta(1000 * (M_PI + (M_PI * 2) / 3), $dish, 1e-9);
        $cone = $this->figure(
            'volume.vessel',
            [
                'shape' => 'coned_cylinder',
                'diameter_m' => 2,
                'side_depth_m' => 1,
                'cone_depth_m' => 0.6,
                'freeboard_m' => 0.2,
            ],
            'volume_l',
        );
        self::assertEqualsWithDelta(1000 * M_PI, $cone, 1e-9);

        // A frustum filled half way, by adding up a thousand thin slices.
        $sum = 0.0;
        for ($i = 0; $i < 1000; $i++) {
            $sum += ((M_PI / 4) * (1.0 + ((0.5 * ($i + 0.5)) / 1000) * 0.5) ** 2 * 0.4) / 1000;
        }
        $half = $this->calculate('volume.vessel', [
            'shape' => 'cone_frustum',
            'top_diameter_m' => 1.5,
            'bottom_diameter_m' => 1.0,
            'depth_m' => 0.8,
            'freeboard_m' => 0.4,
        ]);
        self::assertEqualsWithDelta(1000 * $sum, $half->number('volume_l'), 1e-3);
        self::assertEqualsWithDelta((M_PI / 4) * 1.25 ** 2, $half->number('surface_m2'), 1e-12);
    }

    public function test_an_octagon_lies_between_the_circles_in_and_around_it(): void
    {
        $octagon = $this->figure(
            'volume.vessel',
            ['shape' => 'octagon', 'across_flats_m' => 2, 'depth_m' => 1],
            'volume_l',
        );
        self::assertGreaterThan(1000 * M_PI, $octagon);
        self::assertLessThan((1000 * M_PI) / cos(M_PI / 8) ** 2, $octagon);
        self::assertEqualsWithDelta(1000 * 8 * tan(M_PI / 8), $octagon, 1e-9);
    }

    public function test_irregular_ponds_by_sections(): void
    {
        $stations = static fn(array $pairs): array => array_map(
            static fn(array $p): array => ['at_m' => $p[0], 'area_m2' => $p[1]],
            $pairs,
        );
        // Simpson is exact for a parabola: ∫ x(4 − x) dx from 0 to 4 = 32/3.
        $parabola = $this->calculate('volume.vessel', [
            'shape' => 'sections',
            'stations' => $stations([[0, 0], [1, 3], [2, 4], [3, 3], [4, 0]]),
        ]);
        self::assertEqualsWithDelta(32000 / 3, $parabola->number('volume_l'), 1e-9);
        self::assertNull($parabola->figures['surface_m2']);
        // Unevenly spaced: mean areas.
        self::assertEqualsWithDelta(
            1000 * (1 * 1.5 + 3 * 2.5),
            $this->figure(
                'volume.vessel',
                ['shape' => 'sections', 'stations' => $stations([[0, 1], [1, 2], [4, 3]])],
                'volume_l',
            ),
            1e-9,
        );
    }

    public function test_what_cannot_be_built_is_refused_at_its_field(): void
    {
        self::assertSame(
            ['width_a_m', 'width_b_m'],
            array_keys(
                $this->errors('volume.vessel', [
                    'shape' => 'wedge',
                    'length_m' => 2,
                    'width_a_m' => 0,
                    'width_b_m' => 0,
                    'depth_m' => 1,
                ]),
            ),
        );
        self::assertSame(
            ['freeboard_m'],
            array_keys(
                $this->errors('volume.vessel', [
                    'shape' => 'cylinder',
                    'diameter_m' => 2,
                    'depth_m' => 1,
                    'freeboard_m' => 1.1,
                ]),
            ),
        );
        self::assertSame(
            ['depth_m'],
            array_keys(
                $this->errors('volume.vessel', [
                    'shape' => 'dished_cylinder',
                    'diameter_m' => 2,
                    'side_depth_m' => 1,
                    'dish_depth_m' => 0.2,
                    'depth_m' => 1,
                ]),
            ),
        );
        self::assertSame(
            ['displaced_l'],
            array_keys(
                $this->errors('volume.vessel', [
                    'shape' => 'box',
                    'length_m' => 1,
                    'width_m' => 1,
                    'depth_m' => 1,
                    'displaced_l' => 1001,
                ]),
            ),
        );
        self::assertSame(
            ['stations.1.at_m'],
            array_keys(
                $this->errors('volume.vessel', [
                    'shape' => 'sections',
                    'stations' => [['at_m' => 1, 'area_m2' => 1], ['at_m' => 1, 'area_m2' => 2]],
                ]),
            ),
        );
    }

    public function test_wetted_walls_and_floors(): void
    {
        $wet = static fn(Shape $shape, array $measures, float $freeboard = 0.0): float => WettedSurface::of(
            $shape,
            $measures,
            $freeboard,
        );
        self::assertEqualsWithDelta(
            2 * (2.4 + 1.6) * 0.8 + 2.4 * 1.6,
            $wet(Shape::Box, ['length_m' => 2.4, 'width_m' => 1.6, 'depth_m' => 0.9], 0.1),
            1e-12,
        );
        // A cone of 2 m over 1 m, filled to half its height, where it is 1.5 m wide.
        self::assertEqualsWithDelta(
            (M_PI / 2) * (1.5 + 1) * hypot(0.5, 0.25) + M_PI / 4,
            $wet(Shape::ConeFrustum, ['top_diameter_m' => 2, 'bottom_diameter_m' => 1, 'depth_m' => 1], 0.5),
            1e-12,
        );
        self::assertSame(
            [5.0, 7.5],
            [OpenSurface::of(null, 5000), OpenSurface::of(7.5, 5000)],
            'a metre deep, unless known',
        );
        // Shapes that are the same shape have the same walls.
        $round = $wet(Shape::Cylinder, ['diameter_m' => 2, 'depth_m' => 1]);
        self::assertEqualsWithDelta(
            $round,
            $wet(Shape::Ellipse, ['length_m' => 2, 'width_m' => 2, 'depth_m' => 1]),
            1e-9,
        );
        self::assertEqualsWithDelta(
            $round,
            $wet(Shape::ConeFrustum, ['top_diameter_m' => 2, 'bottom_diameter_m' => 2, 'depth_m' => 1]),
            1e-9,
        );
        self::assertEqualsWithDelta(
            $wet(Shape::Box, ['length_m' => 3, 'width_m' => 1, 'depth_m' => 1]),
            $wet(Shape::Wedge, ['length_m' => 3, 'width_a_m' => 1, 'width_b_m' => 1, 'depth_m' => 1]),
            1e-9,
        );
        // Half a ball of radius 1 under 1 m of wall: 2π r² + 2π r h.
        self::assertEqualsWithDelta(
            4 * M_PI,
            $wet(Shape::DishedCylinder, ['diameter_m' => 2, 'side_depth_m' => 1, 'dish_depth_m' => 1]),
            1e-9,
        );
        self::assertEqualsWithDelta(
            M_PI * (2 * 1 + sqrt(2)),
            $wet(Shape::ConedCylinder, ['diameter_m' => 2, 'side_depth_m' => 1, 'cone_depth_m' => 1]),
            1e-9,
        );
        // A half round trough of 1 m radius, 5 m long: π r L.
        self::assertEqualsWithDelta(
            5 * M_PI,
            $wet(Shape::Sections, [
                'stations' => [['at_m' => 0, 'area_m2' => M_PI / 2], ['at_m' => 5, 'area_m2' => M_PI / 2]],
            ]),
            1e-9,
        );
    }

    /** Prismatoids cut across, against the closed forms of solid geometry. */
    public function test_three_sections_give_a_prismatoid_exactly(): void
    {
        $three = fn(callable $area, float $length): float => $this->figure(
            'volume.vessel',
            [
                'shape' => 'sections',
                'stations' => array_map(
                    static fn(float $at): array => ['at_m' => $at, 'area_m2' => $area($at / $length)],
                    [0.0, $length / 2, $length],
                ),
            ],
            'volume_l',
        );
        // A cone frustum lying on its side: πh/3 (R² + Rr + r²).
        self::assertEqualsWithDelta(
            ((1000 * M_PI * 3) / 3) * (1.44 + 1.2 * 0.5 + 0.25),
            $three(static fn(float $x): float => M_PI * (1.2 - 0.7 * $x) ** 2, 3.0),
            1e-9,
        );
        // A ramp that narrows as it shoals, from 2 × 1.2 m to nothing: a pyramid, a third of its box.
        self::assertEqualsWithDelta(
            (1000 * 2 * 1.2 * 4) / 3,
            $three(static fn(float $x): float => 2 * 1.2 * (1 - $x) ** 2, 4.0),
            1e-9,
        );
        // A ball of 1 m radius: 4/3 π.
        self::assertEqualsWithDelta(
            ((1000 * 4) / 3) * M_PI,
            $three(static fn(float $x): float => M_PI * (1 - (2 * $x - 1) ** 2), 2.0),
            1e-9,
        );
    }
}
