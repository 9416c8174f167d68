<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/**
 * The surface of a vessel to the air, m².
 *
 * Cross-sections give none of their own: a pond is then taken as about a metre deep, and has as many m² as m³.
 *
 * @source geometry
 */
final readonly class OpenSurface
{
    private const USUAL_DEPTH_M = 1.0;

    public static function of(?float $surfaceM2, float $volumeL): float
    {
        return $surfaceM2 ?? $volumeL / 1000 / self::USUAL_DEPTH_M;
    }
}
