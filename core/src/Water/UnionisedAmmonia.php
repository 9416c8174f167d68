<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

/**
 * Un-ionised share of total ammonia in fresh to brackish water.
 *
 * Valid 0–40 °C, pH 4–11, up to 40 g/L salt; the table of 1975 covers 0–30 °C and pH 6–10. Total
 * ammonia (TAN) in and both species out are mg/L as nitrogen.
 *
 *     UnionisedAmmonia::of(tan: 1.0, ph: 8.0, tempC: 20.0)->fraction  →  0.0382
 *
 * @source emerson-1975   pKa of ammonium; the paper's own table was made with 273.2
 * @source epa-1989-salt  shift with ionic strength; a sea-salt fit, pond salt treated alike
 */
final readonly class UnionisedAmmonia
{
    private function __construct(
        public float $ionicStrength,
        public float $pka,
        public float $fraction,
        public float $nh3N,
        public float $nh4N,
    ) {}

    public static function of(float $tan, float $ph, float $tempC, float $salinityGL = 0.0): self
    {
        $ionicStrength = (19.9273 * $salinityGL) / (1000 - 1.005109 * $salinityGL);
        $pka = 0.09018 + 2729.92 / ($tempC + 273.2) + 0.116 * $ionicStrength;
        $fraction = 1 / (10 ** ($pka - $ph) + 1);

        return new self($ionicStrength, $pka, $fraction, $tan * $fraction, $tan * (1 - $fraction));
    }
}
