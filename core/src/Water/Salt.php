<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

/**
 * Common salt, NaCl.
 *
 * @source iupac-2007  35.453 of 58.443 g/mol is chloride
 */
final readonly class Salt
{
    /** Share of chloride by weight. */
    public const CHLORIDE = 0.6066;

    public static function chlorideMgL(float $saltGL): float
    {
        return 1000 * self::CHLORIDE * $saltGL;
    }
}
