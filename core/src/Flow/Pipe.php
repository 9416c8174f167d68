<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * Head loss in a full round pipe with its fittings, by Darcy and Weisbach.
 *
 * Lengths in m, flow in m³/s (its sign is its direction), head in m of water.
 *
 *     (new Pipe(0.1036, 6.0, 2.1))->headLoss(10000 / 3.6e6)  →  0.01895
 *
 * @source darcy-weisbach
 */
final readonly class Pipe
{
    private float $area;

    private float $viscosity;

    public function __construct(
        public float $boreM,
        public float $lengthM,
        public float $fittingsK,
        public float $roughnessM = 1.5e-6,
        float $tempC = 20.0,
    ) {
        $this->area = (M_PI / 4) * $boreM ** 2;
        $this->viscosity = WaterProperties::kinematicViscosity($tempC);
    }

    public function velocity(float $flow): float
    {
        return $flow / $this->area;
    }

    public function reynolds(float $flow): float
    {
        return (abs($this->velocity($flow)) * $this->boreM) / $this->viscosity;
    }

    /** Darcy friction factor at this flow; null when nothing flows. */
    public function frictionFactor(float $flow): ?float
    {
        $reynolds = $this->reynolds($flow);

        return $reynolds > 0 ? FrictionFactor::of($reynolds, $this->roughnessM / $this->boreM) : null;
    }

    /** Head lost along the direction of flow, m; negative for flow against it. */
    public function headLoss(float $flow): float
    {
        $friction = $this->frictionFactor($flow);
        if ($friction === null) {
            return 0.0;
        }
        $velocity = $this->velocity($flow);

        return ((($friction * $this->lengthM) / $this->boreM + $this->fittingsK) * $velocity * abs($velocity)) /
            (2 * WaterProperties::GRAVITY);
    }
}
