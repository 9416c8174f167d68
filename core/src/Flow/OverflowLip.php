<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * A lip that water spills over: the level above it rises with the two-thirds power of flow.
 *
 * Francis's weir, Q = 1.84 L h^1.5 in m and m³/s; for a standpipe L is its rim. Valid while the lip
 * runs free. Length in m, above 0; flow in m³/s, 0 or more.
 *
 *     OverflowLip::rise(2960 / 3.6e6, M_PI * 0.05)  →  0.020
 *
 * @source francis-weir
 */
final readonly class OverflowLip
{
    private const FRANCIS = 1.84;

    /** How far the water stands above the lip, m. */
    public static function rise(float $flow, float $lengthM): float
    {
        return (max(0.0, $flow) / (self::FRANCIS * $lengthM)) ** (2 / 3);
    }
}
