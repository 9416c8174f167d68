<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

/**
 * How much oxygen water holds in equilibrium with air.
 *
 * Valid 0–40 °C, up to 40 g/L salt, 0.5 to 1.1 atm. Results are mg/L.
 *
 *     Oxygen::saturation(tempC: 20.0)  →  9.092
 *
 * @source benson-krause-1984  solubility and its dependence on salinity
 * @source standard-methods-4500-o  pressure correction and the table of check values
 * @source standard-atmosphere  pressure at an altitude
 */
final readonly class Oxygen
{
    public const HPA_PER_ATM = 1013.25;

    /** Saturation at the given pressure (1 atm when left out), mg/L. */
    public static function saturation(float $tempC, float $salinityGL = 0.0, float $pressureAtm = 1.0): float
    {
        return self::saturationAtOneAtmosphere($tempC, $salinityGL) * self::pressureFactor($tempC, $pressureAtm);
    }

    /** Saturation at 1 atm, mg/L. */
    public static function saturationAtOneAtmosphere(float $tempC, float $salinityGL = 0.0): float
    {
        $t = $tempC + 273.15;
        $fresh = -139.34411 + 1.575701e5 / $t - 6.642308e7 / $t ** 2 + 1.2438e10 / $t ** 3 - 8.621949e11 / $t ** 4;
        $salt = 1.7674e-2 - 1.0754e1 / $t + 2.1407e3 / $t ** 2;

        return exp($fresh - $salinityGL * $salt);
    }

    /** What another pressure makes of the saturation at 1 atm, as a factor. */
    public static function pressureFactor(float $tempC, float $pressureAtm): float
    {
        $t = $tempC + 273.15;
        $vapour = exp(11.8571 - 3840.7 / $t - 216961 / $t ** 2);
        $theta = 0.000975 - 1.426e-5 * $tempC + 6.436e-8 * $tempC ** 2;

        return ($pressureAtm * (1 - $vapour / $pressureAtm) * (1 - $theta * $pressureAtm)) /
            ((1 - $vapour) * (1 - $theta));
    }

    /** Air pressure at an altitude in metres in the standard atmosphere, atm. */
    public static function pressureAtAltitude(float $altitudeM): float
    {
        return (1 - 2.25577e-5 * $altitudeM) ** 5.25588;
    }
}
