<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Water\Oxygen;

/**
 * Oxygen that comes into the water inside a stage, g O2/d, at the point where it has run down to 2 mg/L.
 *
 * Air: 1 L/min carries 0.0167 kg O2/h, of which coarse bubbles in a chamber about a metre deep leave
 * 2 % in clean water at 20 °C. Fall: a shower renews the deficit of its water twice on the way down. Bog: its open
 * surface, half a
 * metre over the roots, takes in 1.5 g/m²/d.
 *
 * @source aeration-from-memory
 */
final readonly class InStageTransfer
{
    /** Least oxygen a stage may be left with, mg/L. */
    public const FLOOR_DO = 2.0;

    private const O2_PER_AIR_G_D = 0.0167 * 1000 * 24;

    private const COARSE_BUBBLE_EFFICIENCY = 0.02;

    private const ALPHA = 0.9;

    private const BETA = 0.98;

    private const FALL_RENEWALS = 2.0;

    private const BOG_DEPTH_M = 0.5;

    private const BOG_O2_G_M2_D = 1.5;

    public static function of(StageKind $kind, StageInflow $water, float $flowLH, float $airLMin, float $mediaL): float
    {
        $deficit = max(
            0.0,
            self::BETA * Oxygen::saturationAtOneAtmosphere($water->tempC, $water->salinityGL) - self::FLOOR_DO,
        );

        return match ($kind->transfer) {
            Transfer::None => 0.0,
            Transfer::Air => (($airLMin *
                self::O2_PER_AIR_G_D *
                self::COARSE_BUBBLE_EFFICIENCY *
                self::ALPHA *
                $deficit) /
                9.09) *
                1.024 ** ($water->tempC - 20),
            Transfer::Fall => ((self::FALL_RENEWALS * $flowLH * 24) / 1000) * $deficit,
            Transfer::Bog => ($mediaL / 1000 / self::BOG_DEPTH_M) * self::BOG_O2_G_M2_D,
        };
    }
}
