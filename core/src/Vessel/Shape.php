<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/** The shapes a vessel can have, each with the lengths it needs. Depths run to the rim. */
enum Shape: string
{
    case Box = 'box';
    case Wedge = 'wedge';
    case Cylinder = 'cylinder';
    case Ellipse = 'ellipse';
    case Octagon = 'octagon';
    case ConeFrustum = 'cone_frustum';
    case DishedCylinder = 'dished_cylinder';
    case ConedCylinder = 'coned_cylinder';
    case Sections = 'sections';

    /** @return list<Dimension> */
    public function dimensions(): array
    {
        return match ($this) {
            self::Box, self::Ellipse => [Dimension::Length, Dimension::Width, Dimension::Depth],
            self::Wedge => [Dimension::Length, Dimension::WidthA, Dimension::WidthB, Dimension::Depth],
            self::Cylinder => [Dimension::Diameter, Dimension::Depth],
            self::Octagon => [Dimension::AcrossFlats, Dimension::Depth],
            self::ConeFrustum => [Dimension::TopDiameter, Dimension::BottomDiameter, Dimension::Depth],
            self::DishedCylinder => [Dimension::Diameter, Dimension::SideDepth, Dimension::DishDepth],
            self::ConedCylinder => [Dimension::Diameter, Dimension::SideDepth, Dimension::ConeDepth],
            self::Sections => [],
        };
    }

    /** Whether its walls stand upright on an outline that any floor can lie under. */
    public function upright(): bool
    {
        return in_array($this, [self::Box, self::Wedge, self::Cylinder, self::Ellipse, self::Octagon], true);
    }

    public function label(): string
    {
        return match ($this) {
            self::Box => 'Box',
            self::Wedge => 'Box with two widths',
            self::Cylinder => 'Round, flat bottom',
            self::Ellipse => 'Oval',
            self::Octagon => 'Octagon',
            self::ConeFrustum => 'Round, narrowing downwards',
            self::DishedCylinder => 'Round, dished bottom',
            self::ConedCylinder => 'Round, cone bottom',
            self::Sections => 'Irregular, by sections',
        };
    }
}
