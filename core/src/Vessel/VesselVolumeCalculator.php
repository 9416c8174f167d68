<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * Volume of water in one vessel, from its shape.
 *
 *     shape box, length_m 2.4, width_m 1.6, depth_m 0.9, freeboard_m 0.1  →  volume_l 3072, surface_m2 3.84, per_cm_l
 *       38.4
 *
 * @see Geometry, SectionRule
 */
final readonly class VesselVolumeCalculator implements Calculator
{
    public function name(): string
    {
        return 'volume.vessel';
    }

    public function title(): string
    {
        return 'Volume of a vessel';
    }

    public function inputs(): array
    {
        return [
            Input::choice('shape', 'Shape', array_map(static fn(Shape $s): string => $s->value, Shape::cases())),
            ...array_map(
                static fn(Dimension $d): Input => Input::number($d->value, $d->label(), 'm', 0.01, 100)->optional(),
                Dimension::cases(),
            ),
            Input::rows(
                'stations',
                'Stations',
                [
                    Input::number('at_m', 'Position', 'm', 0, 1000),
                    Input::number('area_m2', 'Wetted area', 'm²', 0, 1000),
                ],
                2,
                200,
            )->optional(),
            Input::choice('floor', 'Floor', array_map(static fn(Floor $f): string => $f->value, Floor::cases()))->or(
                Floor::Flat->value,
            ),
            Input::number('floor_m', 'Floor falls by', 'm', 0.01, 20)->optional(),
            Input::number('freeboard_m', 'Freeboard', 'm', 0, 100)->or(0.0),
            Input::number('displaced_l', 'Displaced', 'L', 0, 1e7)->or(0.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('volume_l', 'L'), new Output('surface_m2', 'm²'), new Output('per_cm_l', 'L/cm')];
    }

    public function calculate(Given $given): Result
    {
        $shape = Shape::from($given->text('shape'));
        $this->checkDimensions($shape, $given);
        $work = new Working();
        if ($shape === Shape::Sections) {
            $gross = $this->bySections($given, $work);
            $surface = null;
        } else {
            $this->checkFreeboard($shape, $given);
            $floor = Floor::from($given->text('floor'));
            $upright = $this->fill($shape, $given);
            $filled =
                $floor === Floor::Flat
                    ? $upright
                    : $upright->over($floor, $given->number('floor_m'), self::middle($shape, $given));
            $gross = $filled->volumeL;
            $surface = $filled->surfaceM2;
            $work->step(
                'Water in the shape, filled to the freeboard.',
                self::formula($shape),
                $this->measures($shape, $given),
                Format::number($upright->volumeL, 5) . ' L',
            );
            if ($floor !== Floor::Flat) {
                $fall = Format::number($given->number('floor_m'));
                $share = Format::number($floor->share(self::middle($shape, $given)), 3);
                $work->step(
                    "And in the floor, {$floor->label()}.",
                    'surface × fall × share × 1000',
                    Format::number($surface) . " m² × {$fall} m × {$share}",
                    Format::number($gross - $upright->volumeL, 5) . ' L',
                );
            }
            $work->step(
                'What one centimetre of level is worth.',
                'surface × 0.01 m × 1000',
                Format::number($surface) . ' m²',
                Format::number(10 * $surface) . ' L',
            );
        }
        $displaced = $given->number('displaced_l');
        if ($displaced > $gross) {
            throw BadInput::at(
                'displaced_l',
                'More is displaced than the vessel holds (' . Format::number($gross) . ' L).',
            );
        }
        if ($displaced > 0) {
            $work->step(
                'Less what media, stones and fittings displace.',
                'volume − displaced',
                Format::number($gross, 5) . ' − ' . Format::number($displaced, 5) . ' L',
                Format::number($gross - $displaced, 5) . ' L',
            );
        }
        $work->cite('geometry');

        return $work->result([
            'volume_l' => $gross - $displaced,
            'surface_m2' => $surface,
            'per_cm_l' => $surface === null ? null : 10 * $surface,
        ]);
    }

    /** Every length of this shape must be there, and none of another shape. */
    private function checkDimensions(Shape $shape, Given $given): void
    {
        $errors = [];
        foreach (Dimension::cases() as $dimension) {
            $needed = in_array($dimension, $shape->dimensions(), true);
            if ($needed && !$given->has($dimension->value)) {
                $errors[$dimension->value] = "{$dimension->label()} is needed for this shape.";
            } elseif (!$needed && $given->has($dimension->value)) {
                $errors[$dimension->value] = "{$dimension->label()} does not belong to this shape.";
            }
        }
        if ($shape === Shape::Sections && !$given->has('stations')) {
            $errors['stations'] = 'At least two stations are needed.';
        } elseif ($shape !== Shape::Sections && $given->has('stations')) {
            $errors['stations'] = 'Stations do not belong to this shape.';
        }
        if ($shape === Shape::Sections && $given->number('freeboard_m') > 0) {
            $errors['freeboard_m'] = 'Sections are wetted areas already: freeboard must be 0.';
        }
        if (
            $shape === Shape::DishedCylinder &&
            $errors === [] &&
            $given->number('dish_depth_m') > $given->number('diameter_m') / 2
        ) {
            $errors['dish_depth_m'] = 'A dish is at most half as deep as it is wide.';
        }
        $floor = Floor::from($given->text('floor'));
        if ($floor !== Floor::Flat && !$shape->upright()) {
            $errors['floor'] = 'This shape has its floor already: choose flat.';
        } elseif ($floor !== Floor::Flat && !$given->has('floor_m')) {
            $errors['floor_m'] = 'How far does the floor fall below the foot of the walls?';
        } elseif ($floor === Floor::Flat && $given->has('floor_m')) {
            $errors['floor_m'] = 'A flat floor does not fall.';
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }
    }

    /** Where the middle of the area lies on the way along it; a box with two widths is deep at its width b. */
    private static function middle(Shape $shape, Given $given): float
    {
        if ($shape !== Shape::Wedge) {
            return 0.5;
        }
        [$a, $b] = [$given->number('width_a_m'), $given->number('width_b_m')];

        return ($a + 2 * $b) / (3 * ($a + $b));
    }

    private function checkFreeboard(Shape $shape, Given $given): void
    {
        $side = $given->number(
            in_array($shape, [Shape::DishedCylinder, Shape::ConedCylinder], true) ? 'side_depth_m' : 'depth_m',
        );
        if ($given->number('freeboard_m') > $side) {
            throw BadInput::at(
                'freeboard_m',
                'Freeboard is more than the side is deep (' . Format::number($side) . ' m).',
            );
        }
    }

    private function fill(Shape $shape, Given $given): Geometry
    {
        $m = static fn(Dimension $dimension): float => $given->number($dimension->value);
        $freeboard = $given->number('freeboard_m');

        return match ($shape) {
            Shape::Box => Geometry::prism(
                $m(Dimension::Length) * $m(Dimension::Width),
                $m(Dimension::Depth),
                $freeboard,
            ),
            Shape::Ellipse => Geometry::prism(
                (M_PI / 4) * $m(Dimension::Length) * $m(Dimension::Width),
                $m(Dimension::Depth),
                $freeboard,
            ),
            Shape::Wedge => Geometry::prism(
                ($m(Dimension::Length) * ($m(Dimension::WidthA) + $m(Dimension::WidthB))) / 2,
                $m(Dimension::Depth),
                $freeboard,
            ),
            Shape::Cylinder => Geometry::prism(
                Geometry::circle($m(Dimension::Diameter)),
                $m(Dimension::Depth),
                $freeboard,
            ),
            Shape::Octagon => Geometry::prism(
                Geometry::octagon($m(Dimension::AcrossFlats)),
                $m(Dimension::Depth),
                $freeboard,
            ),
            Shape::ConeFrustum => Geometry::coneFrustum(
                $m(Dimension::TopDiameter),
                $m(Dimension::BottomDiameter),
                $m(Dimension::Depth),
                $freeboard,
            ),
            Shape::DishedCylinder => Geometry::dishedCylinder(
                $m(Dimension::Diameter),
                $m(Dimension::SideDepth),
                $m(Dimension::DishDepth),
                $freeboard,
            ),
            Shape::ConedCylinder => Geometry::conedCylinder(
                $m(Dimension::Diameter),
                $m(Dimension::SideDepth),
                $m(Dimension::ConeDepth),
                $freeboard,
            ),
            Shape::Sections => throw new \LogicException('Sections are not a filled shape.'),
        };
    }

    private function bySections(Given $given, Working $work): float
    {
        $at = [];
        $areas = [];
        foreach ($given->rows('stations') as $i => $station) {
            $position = $station->number('at_m');
            if ($i > 0 && $position <= $at[$i - 1]) {
                throw BadInput::at("stations.{$i}.at_m", 'Positions must rise from one station to the next.');
            }
            $at[] = $position;
            $areas[] = $station->number('area_m2');
        }
        $rule = SectionRule::of($at, $areas);
        $volume = 1000 * $rule->volumeM3;
        $work->step(
            $rule->simpson
                ? 'Evenly spaced sections, odd in number: Simpson’s rule.'
                : 'Mean of neighbouring sections times their distance.',
            $rule->simpson ? 'V = h/3 (A₀ + 4A₁ + 2A₂ + … + Aₙ)' : 'V = Σ (Aᵢ + Aᵢ₊₁)/2 × distance',
            count($at) . ' sections over ' . Format::number($at[count($at) - 1] - $at[0]) . ' m',
            Format::number($volume, 5) . ' L',
        );
        $work->cite('surveying-sections');

        return $volume;
    }

    private function measures(Shape $shape, Given $given): string
    {
        $parts = array_map(
            static fn(Dimension $d): string => lcfirst($d->label()) .
                ' ' .
                Format::number($given->number($d->value)) .
                ' m',
            $shape->dimensions(),
        );

        return implode(', ', [...$parts, 'freeboard ' . Format::number($given->number('freeboard_m')) . ' m']);
    }

    private static function formula(Shape $shape): string
    {
        return match ($shape) {
            Shape::Box => 'length × width × (depth − freeboard) × 1000',
            Shape::Wedge => 'length × (width a + width b)/2 × (depth − freeboard) × 1000',
            Shape::Cylinder => 'π/4 × diameter² × (depth − freeboard) × 1000',
            Shape::Ellipse => 'π/4 × length × width × (depth − freeboard) × 1000',
            Shape::Octagon => '2(√2 − 1) × across flats² × (depth − freeboard) × 1000',
            Shape::ConeFrustum
                => 'πh/12 (d² + d·b + b²) × 1000, with h = depth − freeboard and d the diameter at the water',
            Shape::DishedCylinder => '[π/4 × diameter² × (side − freeboard) + πh/6 (3r² + h²)] × 1000, with h the dish',
            Shape::ConedCylinder => 'π/4 × diameter² × (side − freeboard + cone/3) × 1000',
            Shape::Sections => '',
        };
    }
}
