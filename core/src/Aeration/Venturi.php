<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

/**
 * What a venturi on a return draws in: about a tenth of the water that passes it, let out a hand's breadth under the
 * surface.
 *
 * @source aeration-from-memory
 */
final class Venturi
{
    public const DEPTH_M = 0.3;

    private const AIR_PER_WATER = 0.1;

    public static function airLMin(float $flowLH): float
    {
        return (self::AIR_PER_WATER * $flowLH) / 60;
    }
}
