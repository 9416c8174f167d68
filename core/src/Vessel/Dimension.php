<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/** A length that a shape needs. */
enum Dimension: string
{
    case Length = 'length_m';
    case Width = 'width_m';
    case WidthA = 'width_a_m';
    case WidthB = 'width_b_m';
    case Depth = 'depth_m';
    case Diameter = 'diameter_m';
    case AcrossFlats = 'across_flats_m';
    case TopDiameter = 'top_diameter_m';
    case BottomDiameter = 'bottom_diameter_m';
    case SideDepth = 'side_depth_m';
    case DishDepth = 'dish_depth_m';
    case ConeDepth = 'cone_depth_m';

    public function label(): string
    {
        return match ($this) {
            self::Length => 'Length',
            self::Width => 'Width',
            self::WidthA => 'Width at one end',
            self::WidthB => 'Width at the other end',
            self::Depth => 'Depth to the rim',
            self::Diameter => 'Diameter',
            self::AcrossFlats => 'Across the flats',
            self::TopDiameter => 'Diameter at the rim',
            self::BottomDiameter => 'Diameter at the bottom',
            self::SideDepth => 'Depth of the straight side',
            self::DishDepth => 'Depth of the dish below it',
            self::ConeDepth => 'Depth of the cone below it',
        };
    }
}
