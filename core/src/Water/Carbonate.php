<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Numeric\Root;

/**
 * The carbonate system of one water: dissolved CO2, alkalinity and pH in balance.
 *
 * Alkalinity as CaCO3 in mg/L, CO2 in mg/L, total carbon in mol/L. Carbonate and hydroxide are counted,
 * activities follow Davies. Valid 0–40 °C, pH 4–11, fresh to slightly salted water.
 *
 *     (new Carbonate(tempC: 20.0, alkalinity: 100.0))->co2(7.5)  →  6.29
 *
 * @source plummer-busenberg-1982  K1 and K2
 * @source water-ion-product  Kw
 * @source davies-1962  activity coefficients
 */
final readonly class Carbonate
{
    /** mg of CaCO3 that neutralise as much acid as one equivalent. */
    private const MG_PER_EQ = (1000 * MolarMass::CACO3) / 2;

    private const SALT_G_PER_MOL = 58.44;

    private float $k1;

    private float $k2;

    private float $kw;

    private float $gamma1;

    private float $gamma2;

    private float $equivalents;

    public function __construct(float $tempC, public float $alkalinity, float $salinityGL = 0.0)
    {
        $t = $tempC + 273.15;
        $log = log10($t);
        $this->k1 = 10 ** -(356.3094 + 0.06091964 * $t - 21834.37 / $t - 126.8339 * $log + 1684915 / $t ** 2);
        $this->k2 = 10 ** -(107.8871 + 0.03252849 * $t - 5151.79 / $t - 38.92561 * $log + 563713.9 / $t ** 2);
        $this->kw = 10 ** -(283.971 + 0.05069842 * $t - 13323.0 / $t - 102.24447 * $log + 1119669 / $t ** 2);
        $strength = (1.5 * $alkalinity) / self::MG_PER_EQ + $salinityGL / self::SALT_G_PER_MOL;
        $a = 0.4883 + 8.074e-4 * $tempC;
        $this->gamma1 = 10 ** (-$a * (sqrt($strength) / (1 + sqrt($strength)) - 0.3 * $strength));
        $this->gamma2 = $this->gamma1 ** 4;
        $this->equivalents = $alkalinity / self::MG_PER_EQ;
    }

    /** mg/L of dissolved CO2 at a pH; 0 where the pH is higher than the alkalinity can account for. */
    public function co2(float $ph): float
    {
        return 1000 * MolarMass::CO2 * max(0.0, (10 ** -$ph * $this->bicarbonate($ph) * $this->gamma1) / $this->k1);
    }

    /** All inorganic carbon, mol/L. */
    public function totalCarbon(float $ph): float
    {
        $bicarbonate = $this->bicarbonate($ph);

        return $bicarbonate *
            (1 + (10 ** -$ph * $this->gamma1) / $this->k1 + ($this->k2 * $this->gamma1) / (10 ** -$ph * $this->gamma2));
    }

    /** The pH at which so much CO2 is dissolved, held to 4–11. */
    public function phWithCo2(float $co2): float
    {
        return $this->phWhere(fn(float $ph): float => $this->co2($ph) - $co2);
    }

    /** The pH at which so much inorganic carbon is there, held to 4–11. */
    public function phWithTotalCarbon(float $mol): float
    {
        return $this->phWhere(fn(float $ph): float => $this->totalCarbon($ph) - $mol);
    }

    /** @param  \Closure(float): float  $surplus  falls with pH */
    private function phWhere(\Closure $surplus): float
    {
        return match (true) {
            $surplus(4.0) <= 0 => 4.0,
            $surplus(11.0) >= 0 => 11.0,
            default => Root::between($surplus, 4.0, 11.0, 1e-9),
        };
    }

    private function bicarbonate(float $ph): float
    {
        $h = 10 ** -$ph;
        $net = $this->equivalents - $this->kw / ($h * $this->gamma1) + $h / $this->gamma1;

        return max(0.0, $net) / (1 + (2 * $this->k2 * $this->gamma1) / ($h * $this->gamma2));
    }
}
