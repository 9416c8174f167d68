<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/**
 * Walls and floor under water, m²: where bacteria grow outside the filter.
 *
 * From the measures of `volume.vessel`, in m. Sections are taken as half rounds of their area, so that
 * an irregular pond is an estimate.
 *
 * @source geometry
 */
final readonly class WettedSurface
{
    /** @param  array<string, mixed>  $measures  checked by `volume.vessel` before */
    public static function of(Shape $shape, array $measures, float $freeboardM): float
    {
        $m = static fn(Dimension $dimension): float => is_numeric($measures[$dimension->value] ?? null)
            ? (float) $measures[$dimension->value]
            : 0.0;
        $depth = max(0.0, $m(Dimension::Depth) - $freeboardM);
        $side = max(0.0, $m(Dimension::SideDepth) - $freeboardM);
        $diameter = $m(Dimension::Diameter);
        $length = $m(Dimension::Length);
        $width = $m(Dimension::Width);

        return match ($shape) {
            Shape::Box => 2 * ($length + $width) * $depth + $length * $width,
            Shape::Wedge => ($m(Dimension::WidthA) +
                $m(Dimension::WidthB) +
                2 * hypot($length, ($m(Dimension::WidthB) - $m(Dimension::WidthA)) / 2)) *
                $depth +
                ($length * ($m(Dimension::WidthA) + $m(Dimension::WidthB))) / 2,
            Shape::Cylinder => M_PI * $diameter * $depth + Geometry::circle($diameter),
            Shape::Ellipse => self::ellipsePerimeter($length / 2, $width / 2) * $depth + (M_PI / 4) * $length * $width,
            Shape::Octagon => 8 * (M_SQRT2 - 1) * $m(Dimension::AcrossFlats) * $depth +
                Geometry::octagon($m(Dimension::AcrossFlats)),
            Shape::ConeFrustum => self::frustum(
                $m(Dimension::TopDiameter),
                $m(Dimension::BottomDiameter),
                $m(Dimension::Depth),
                $depth,
            ),
            Shape::DishedCylinder => M_PI * $diameter * $side +
                M_PI * ($diameter ** 2 / 4 + $m(Dimension::DishDepth) ** 2),
            Shape::ConedCylinder => M_PI * $diameter * $side +
                ((M_PI * $diameter) / 2) * hypot($diameter / 2, $m(Dimension::ConeDepth)),
            Shape::Sections => self::sections($measures['stations'] ?? []),
        };
    }

    /** Ramanujan's first approximation, good to a ten-thousandth for any pond. */
    private static function ellipsePerimeter(float $a, float $b): float
    {
        return M_PI * (3 * ($a + $b) - sqrt((3 * $a + $b) * ($a + 3 * $b)));
    }

    private static function frustum(float $top, float $bottom, float $depth, float $filled): float
    {
        $atWater = $depth > 0 ? $bottom + (($top - $bottom) * $filled) / $depth : $top;

        return (M_PI / 2) * ($atWater + $bottom) * hypot($filled, ($atWater - $bottom) / 2) + Geometry::circle($bottom);
    }

    private static function sections(mixed $stations): float
    {
        $sum = 0.0;
        $before = null;
        foreach (is_array($stations) ? $stations : [] as $station) {
            $at = is_array($station) && is_numeric($station['at_m'] ?? null) ? (float) $station['at_m'] : 0.0;
            $round =
                is_array($station) && is_numeric($station['area_m2'] ?? null)
                    ? sqrt(2 * M_PI * (float) $station['area_m2'])
                    : 0.0;
            $sum += $before === null ? 0.0 : (($at - $before[0]) * ($round + $before[1])) / 2;
            $before = [$at, $round];
        }

        return $sum;
    }
}
