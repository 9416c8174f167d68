<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * Loss coefficient of a quarter-turn valve by its opening.
 *
 * Weisbach's cock in a round pipe: K by the angle it is turned from open, shut at 82.5°. Between his
 * angles the logarithm of K is read in a straight line. Opening in percent of the way from shut.
 *
 * @source weisbach-cock
 */
final readonly class Valve
{
    private const SHUT_AT = 82.5;

    private const K_BY_ANGLE = [
        0 => 0.05,
        5 => 0.05,
        10 => 0.29,
        15 => 0.75,
        20 => 1.56,
        25 => 3.1,
        30 => 5.47,
        35 => 9.68,
        40 => 17.3,
        45 => 31.2,
        50 => 52.6,
        55 => 106.0,
        60 => 206.0,
        65 => 486.0,
    ];

    /** K of the valve; null when it is shut. */
    public static function k(float $openPct): ?float
    {
        if ($openPct <= 0) {
            return null;
        }
        $angle = self::SHUT_AT * (1 - min(100.0, $openPct) / 100);
        $before = 0;
        foreach (self::K_BY_ANGLE as $at => $k) {
            if ($angle <= $at) {
                $share = $at === $before ? 0.0 : ($angle - $before) / ($at - $before);

                return self::K_BY_ANGLE[$before] ** (1 - $share) * $k ** $share;
            }
            $before = $at;
        }

        // Past the last angle measured it closes on, up to shut.
        return 486.0 * ((self::SHUT_AT - 65) / (self::SHUT_AT - $angle)) ** 4;
    }
}
