<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Water\Carbonate;

/**
 * What a closed bag comes to after hours on the way, where nobody measured it: ammonia of fish that were not fed, and
 * the CO2 they breathed out with nowhere to go.
 *
 * On the safe side: all of it stays in the water. kg, L, h, °C, mg/L.
 *
 * @see DailyLoad for what fish excrete and breathe
 */
final readonly class BagState
{
    /** Of water nobody tested, mg/L as CaCO3. */
    public const ALKALINITY = 80.0;

    /** Of the water they were packed in. */
    private const PACKED_PH = 7.6;

    private const CO2_PER_O2 = 1.375;

    /** Held to what a bag is ever read at. */
    private const LOWEST_PH = 5.5;

    private const CO2_MOL_G = 44.0095;

    private function __construct(public float $tanMgL, public float $ph, public float $co2MgL) {}

    public static function after(
        float $kg,
        float $litres,
        float $hours,
        float $tempC,
        float $alkalinity = self::ALKALINITY,
    ): self {
        $load = DailyLoad::of($kg, 0.0, DailyLoad::USUAL_PROTEIN, DailyLoad::USUAL_DIGESTIBILITY, 0.0, $tempC);
        $tan = ((1000 * $load->tan()) / 24 / $litres) * $hours;
        $breathed = ((1000 * self::CO2_PER_O2 * $load->oxygen()) / 24 / $litres) * $hours;
        $carbonate = new Carbonate($tempC, $alkalinity);
        $carbon = $carbonate->totalCarbon(self::PACKED_PH) + $breathed / 1000 / self::CO2_MOL_G;
        $ph = max(self::LOWEST_PH, $carbonate->phWithTotalCarbon($carbon));

        return new self($tan, $ph, $carbonate->co2($ph));
    }
}
