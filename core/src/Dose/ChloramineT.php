<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * Chloramine-T by pH and hardness, mg/L. Between the rows of the table the lower one holds.
 *
 *     ChloramineT::dose(ph: 7.2, hardness: 50.0)  →  10
 *
 * @source cross-hursey-1973
 */
final readonly class ChloramineT
{
    /** pH: soft, hard. */
    private const TABLE = [[8.0, 20.0, 20.0], [7.5, 18.0, 18.0], [7.0, 10.0, 15.0], [6.5, 5.0, 10.0], [6.0, 2.5, 7.0]];

    private const SOFT_BELOW = 50.0;

    public static function dose(float $ph, float $hardness): float
    {
        foreach (self::TABLE as [$from, $soft, $hard]) {
            if ($ph >= $from) {
                return $hardness < self::SOFT_BELOW ? $soft : $hard;
            }
        }

        return self::TABLE[count(self::TABLE) - 1][1];
    }
}
