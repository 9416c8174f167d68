<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

/**
 * What water is taken to be where nobody measured it. Whoever uses one of these says so beside the figure.
 *
 *     AssumedWater::of('temp_c')->value  →  20
 *
 * @source cp-assumed-water
 */
final readonly class AssumedWater
{
    public const TEMPERATURE_C = 20.0;

    /** Chlorine of mains water nobody tested, mg/L as Cl2: what most supplies keep to. From memory. */
    public const MAINS_CHLORINE_MG_L = 1.0;

    public const PH = 7.5;

    public const ALKALINITY_MG_L = 100.0;

    /** Of saturation at the temperature. */
    public const OXYGEN_SHARE = 0.9;

    public const SALINITY_G_L = 0.0;

    private function __construct(public float $value, public string $because) {}

    /**
     * @param  string  $key  canonical key of a parameter
     * @param  float  $tempC  the water's temperature, for its oxygen
     * @return ?self null for what is never assumed: ammonia, nitrite and what was dosed are tested or unknown
     */
    public static function of(string $key, float $tempC = self::TEMPERATURE_C): ?self
    {
        return match ($key) {
            'temp_c' => new self(self::TEMPERATURE_C, 'a mild day'),
            'ph' => new self(self::PH, 'ordinary water'),
            'alkalinity_mg_l' => new self(self::ALKALINITY_MG_L, 'ordinary water'),
            'do_mg_l' => new self(self::OXYGEN_SHARE * Oxygen::saturation($tempC), '90 % of saturation'),
            'salinity_g_l' => new self(self::SALINITY_G_L, 'fresh water'),
            default => null,
        };
    }
}
