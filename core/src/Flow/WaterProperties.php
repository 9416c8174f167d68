<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * Density and viscosity of fresh water at atmospheric pressure. Valid 0–40 °C.
 *
 *     WaterProperties::kinematicViscosity(20.0)  →  1.0035e-6
 *
 * @source water-viscosity  @source water-density
 */
final readonly class WaterProperties
{
    /** Standard acceleration of free fall, m/s². */
    public const GRAVITY = 9.80665;

    /** kg/m³. */
    public static function density(float $tempC): float
    {
        return 1000 * (1 - (($tempC + 288.9414) / (508929.2 * ($tempC + 68.12963))) * ($tempC - 3.9863) ** 2);
    }

    /** m²/s. */
    public static function kinematicViscosity(float $tempC): float
    {
        $dynamic = 2.414e-5 * 10 ** (247.8 / ($tempC + 273.15 - 140));

        return $dynamic / self::density($tempC);
    }
}
