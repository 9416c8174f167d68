<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Numeric\Root;

/**
 * A riser with air let in at its foot, by Nicklin's slug flow.
 *
 * The water beside the riser pushes it up until the lighter column, with its friction and what is lost where the water
 * enters and leaves, weighs the same.
 * Lengths in m, air in m³/s at the surface, flow in m³/s.
 *
 * @source nicklin-1963
 */
final readonly class Airlift
{
    private const PROFILE = 1.2;

    private const DRIFT = 0.35;

    /** Atmosphere as metres of water. */
    private const ATMOSPHERE_M = 10.33;

    private const CURVE_POINTS = 8;

    /** What is lost at the way in and the way out, in heads of the water's speed. From memory. */
    public const LOSSES_K = 1.5;

    public float $area;

    /** Air as it is squeezed at the mean pressure in the riser, m³/s. */
    public float $airInRiser;

    public float $airSpeed;

    private float $viscosity;

    public function __construct(
        float $airM3s,
        public float $submergenceM,
        private float $boreM,
        private float $roughnessM = 1.5e-6,
        float $tempC = 20.0,
        private float $lossesK = self::LOSSES_K,
    ) {
        $this->area = (M_PI / 4) * $boreM ** 2;
        $this->airInRiser = ($airM3s * self::ATMOSPHERE_M) / (self::ATMOSPHERE_M + $submergenceM / 2);
        $this->airSpeed = $this->airInRiser / $this->area;
        $this->viscosity = WaterProperties::kinematicViscosity($tempC);
    }

    /** Water speed in the riser when it must lift so far above the water, m/s; 0 when it cannot. */
    public function waterSpeed(float $liftM): float
    {
        $surplus = fn(float $speed): float => $this->surplus($speed, $liftM);

        return $surplus(0.0) > 0 ? Root::between($surplus, 0.0, 10.0, 1e-10) : 0.0;
    }

    /** Share of the riser that is air, 0 to 1. */
    public function gasShare(float $waterSpeed): float
    {
        return $this->airSpeed /
            (self::PROFILE * ($this->airSpeed + $waterSpeed) +
                self::DRIFT * sqrt(WaterProperties::GRAVITY * $this->boreM));
    }

    /** As a pump: how high it lifts by how much it moves. */
    public function curve(): PumpCurve
    {
        $still = (1 - $this->gasShare(0.0)) * (1 + $this->friction(0.0));
        $highest = $this->submergenceM * (1 / $still - 1);
        $flows = [0.0];
        $heads = [$highest];
        for ($i = self::CURVE_POINTS - 1; $i >= 0; $i--) {
            $flows[] = $this->area * $this->waterSpeed(($highest * $i) / self::CURVE_POINTS);
            $heads[] = ($highest * $i) / self::CURVE_POINTS;
        }

        return new PumpCurve($flows, $heads);
    }

    /** Positive while the still water outweighs the riser and its friction. */
    private function surplus(float $waterSpeed, float $liftM): float
    {
        $ends = ($this->lossesK * $waterSpeed ** 2) / (2 * WaterProperties::GRAVITY);

        return ($this->submergenceM - $ends) / ($this->submergenceM + $liftM) -
            (1 - $this->gasShare($waterSpeed)) * (1 + $this->friction($waterSpeed));
    }

    /** Friction per metre of riser, as a share of the mixture's weight. */
    private function friction(float $waterSpeed): float
    {
        $mixture = $this->airSpeed + $waterSpeed;

        return ((FrictionFactor::of(
            max(1.0, ($mixture * $this->boreM) / $this->viscosity),
            $this->roughnessM / $this->boreM,
        ) /
            $this->boreM) *
            $mixture ** 2) /
            (2 * WaterProperties::GRAVITY);
    }
}
