<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * TAN removal per m² of grown surface: r = ceiling · C / (K + C), with the ceiling set by the water.
 *
 * Ceiling and rate in g N/m²/d, C in mg/L as N. On a moving carrier C counts only up to DO/3.2. Warmth counts for
 * less above 20 °C, where ammonia and oxygen are what a film waits for, and for nothing more above 32 °C.
 *
 *     1150 * ArealRate::of(Library::shipped()->stageKinds()->get('bead_vessel'),
 *       new StageInflow(tan: 0.5, oxygen: 7, tempC: 25, ph: 7.5, alkalinity: 120), maturity: 1, fouling: 0)
 *       ->at(0.5)  →  104
 *
 * @source rusten-2006     θ 1.09 up to 20 °C, and the ratio of oxygen to ammonia on moving carriers
 * @source zhu-chen-2002   1.04 above, of the 1 to 4 % a degree that were found where little ammonia limits
 * @source fitted-areal-rates  r20, K and the factors of oxygen and alkalinity
 * @source downing-1964    pH below 7.2
 * @source malone-beecher-2000  ranges the bead figures are checked against
 */
final readonly class ArealRate
{
    public const THETA = 1.09;

    public const OXYGEN_PER_TAN = 3.2;

    public const HELD_ABOVE_C = 32.0;

    private const THETA_WARM = 1.04;

    private const WARM_FROM_C = 20.0;

    private function __construct(
        public float $r20,
        public float $k,
        public float $temperature,
        public float $oxygen,
        public float $ph,
        public float $alkalinity,
        public float $grown,
        public float $counted,
        public float $upkeep,
    ) {}

    /**
     * @param  float  $maturity  share of the surface that bacteria fill, 0 to 1
     * @param  float  $fouling  share of the surface buried in dirt, 0 to 1
     * @param  float  $dying  share of the greatest rate that only makes good what dies; 0 for bacteria as they are now
     */
    public static function of(
        StageKind $kind,
        StageInflow $water,
        float $maturity,
        float $fouling,
        float $dying = 0.0,
    ): self {
        return new self(
            r20: $kind->r20,
            k: $kind->k,
            temperature: self::warmth($water->tempC),
            oxygen: $kind->oxygen === OxygenSupply::Water ? $water->oxygen / (0.5 + $water->oxygen) : 1.0,
            ph: self::phFactor($water->ph),
            alkalinity: $water->alkalinity / (15 + $water->alkalinity),
            grown: $maturity * (1 - $fouling),
            counted: $kind->oxygen === OxygenSupply::Carrier ? $water->oxygen / self::OXYGEN_PER_TAN : INF,
            upkeep: $dying,
        );
    }

    /** f(T) of a rate that is written down at 20 °C. */
    public static function warmth(float $tempC): float
    {
        $above = min($tempC, self::HELD_ABOVE_C) - self::WARM_FROM_C;

        return ($above > 0 ? self::THETA_WARM : self::THETA) ** $above;
    }

    /** 1 from pH 7.2 to 8.5, falling on both sides, to a half at 9.5; never under 0.05. */
    public static function phFactor(float $ph): float
    {
        return match (true) {
            $ph < 7.2 => max(0.05, 1 - 0.833 * (7.2 - $ph)),
            $ph > 8.5 => max(0.05, 1 - 0.5 * ($ph - 8.5)),
            default => 1.0,
        };
    }

    public function ceiling(): float
    {
        return $this->r20 * $this->temperature * $this->oxygen * $this->ph * $this->alkalinity * $this->grown;
    }

    public function at(float $tan): float
    {
        $counted = min($tan, $this->counted);

        return max(0.0, ($this->ceiling() * $counted) / ($this->k + $counted) - $this->spent());
    }

    /** What a grown surface must take in for nothing: its bacteria die at b and grow at most at mu. */
    private function spent(): float
    {
        return $this->upkeep * $this->r20 * $this->temperature * $this->grown;
    }

    /**
     * The outlet TAN at which the surface removes just what the flow brings less what it takes away:
     * Q (Cin − C) = r(C) A, solved in closed form.
     *
     * @param  float  $inlet  mg/L as N
     * @param  float  $flowM3D  m³/d, above 0
     */
    public function outlet(float $inlet, float $flowM3D, float $areaM2): float
    {
        $demand = $this->ceiling() * $areaM2;
        // What upkeep takes off the rate stands in the balance as if so much more came in.
        $comes = $inlet + ($this->spent() * $areaM2) / $flowM3D;
        $b = $flowM3D * ($this->k - $comes) + $demand;
        $root = sqrt($b ** 2 + 4 * $flowM3D ** 2 * $comes * $this->k);
        // The two forms of the root are equal; each is exact where the other would cancel.
        $outlet = $b > 0 ? (2 * $flowM3D * $comes * $this->k) / ($b + $root) : ($root - $b) / (2 * $flowM3D);
        if ($outlet > $this->counted) {
            // Past what oxygen lets the film use the rate is level, and the outlet follows straight from it.
            $outlet = max($this->counted, $inlet - ($this->at($this->counted) * $areaM2) / $flowM3D);
        }

        return max(0.0, min($outlet, $inlet));
    }
}
