<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

/**
 * Air and water through the year at any latitude, where nobody has measured them yet: a stand-in, not a forecast.
 *
 * The mean of the year falls with the square of the latitude, the swing between winter and summer grows with it; the
 * figures lie between a coast and the middle of a continent, so that a place is met within about 7 °C. Water in the
 * open follows the air late and a little less, as a body of its depth that takes up 25 W/m²K through its surface.
 *
 * Latitude in degrees, south under 0; altitude and depth in m; °C. From memory, no source.
 *
 *     (new ClimateStandIn(51.5))->airC(200)  →  20.8
 */
final readonly class ClimateStandIn
{
    private const AT_EQUATOR_C = 28.0;

    private const PER_DEGREE2_C = 0.0066;

    private const SWING_PER_DEGREE_C = 0.2;

    private const PER_M_C = 0.0065;

    /** Days of the year that are warmest, by hemisphere. */
    private const WARMEST_N = 200;

    private const WARMEST_S = 17;

    private const YEAR_D = 365.25;

    /** Days that a metre of water takes to follow: 4.186 MJ/m³K over 25 W/m²K. */
    private const LAG_D_PER_M = 1.938;

    /** Water that moves under ice. */
    private const COLDEST_C = 1.0;

    public function __construct(private float $latitudeDeg, private float $altitudeM = 0.0) {}

    public function airC(float $dayOfYear): float
    {
        return $this->mean() + $this->swing() * cos($this->angle($dayOfYear));
    }

    /** Of a pond in the open that nobody heats. */
    public function waterC(float $dayOfYear, float $depthM): float
    {
        $slow = (2 * M_PI * self::LAG_D_PER_M * max(0.0, $depthM)) / self::YEAR_D;
        $follows = ($this->swing() / sqrt(1 + $slow ** 2)) * cos($this->angle($dayOfYear) - atan($slow));

        return max(self::COLDEST_C, $this->mean() + $follows);
    }

    private function mean(): float
    {
        return self::AT_EQUATOR_C - self::PER_DEGREE2_C * $this->latitudeDeg ** 2 - self::PER_M_C * $this->altitudeM;
    }

    private function swing(): float
    {
        return self::SWING_PER_DEGREE_C * abs($this->latitudeDeg);
    }

    private function angle(float $dayOfYear): float
    {
        $warmest = $this->latitudeDeg >= 0 ? self::WARMEST_N : self::WARMEST_S;

        return (2 * M_PI * ($dayOfYear - $warmest)) / self::YEAR_D;
    }
}
