<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Aeration\Aeration;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Numeric\Root;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * The ammonia, nitrite and oxygen that a system settles at under a load.
 *
 * One mixed body of water feeds the loop. What the load brings is nitrified in the filter and on the
 * walls or leaves with the water that is changed: P = uptake(C, DO) + Q (C − Cs). Nitrite follows:
 * N = X (s2 − b/mu) + Q NO2. Oxygen is what aeration holds against fish, nitrification and night.
 * Nitrogen in g/d, concentrations in mg/L.
 *
 * @source model-calibrated  K2 0.5, oxygen 1.0 and KI 0.5 of nitrite oxidation, b/mu
 */
final readonly class Balance
{
    private const K2 = 0.5;

    private const DO2 = 1.0;

    private const INHIBITION = 0.5;

    private const MOST_MG_L = 1e4;

    private const ROUNDS = 30;

    private float $unionised;

    /**
     * @param  list<FilterStage>  $stages
     * @param  FilterStage  $walls  bacteria outside the filter, met by all the water
     * @param  StageInflow  $water  temperature, pH, alkalinity and salinity of the system
     * @param  float  $changeM3D  water changed, m³/d
     * @param  float  $night  what breathes besides fish and filter, g/h
     * @param  bool  $grown  whether the surface is grown to what it gets, and pays its upkeep, or stands as it is now
     */
    public function __construct(
        private array $stages,
        private FilterStage $walls,
        private StageInflow $water,
        private Aeration $air,
        private float $changeM3D = 0.0,
        private float $sourceTan = 0.0,
        private float $night = 0.0,
        private bool $grown = true,
    ) {
        $this->unionised = UnionisedAmmonia::of(1.0, $water->ph, $water->tempC, $water->salinityGL)->fraction;
    }

    /** The same with bacteria that fill only a share of the surface, as they are now. */
    public function asItIs(float $share): self
    {
        $thinned = array_map(static fn(FilterStage $stage): FilterStage => $stage->thinned($share), $this->stages);

        return new self(
            stages: $thinned,
            walls: $this->walls->thinned($share),
            water: $this->water,
            air: $this->air,
            changeM3D: $this->changeM3D,
            sourceTan: $this->sourceTan,
            night: $this->night,
            grown: false,
        );
    }

    public function without(int $stage): self
    {
        $left = $this->stages;
        unset($left[$stage]);

        return new self(
            stages: array_values($left),
            walls: $this->walls,
            water: $this->water,
            air: $this->air,
            changeM3D: $this->changeM3D,
            sourceTan: $this->sourceTan,
            night: $this->night,
            grown: $this->grown,
        );
    }

    /** What the filter and the walls take at an ammonia and oxygen. */
    public function uptake(float $tan, float $oxygen): float
    {
        $water = $this->water->after($tan, $oxygen);

        return LoopCapacity::of($this->stages, $water, $this->dying())->total() + $this->wallsTake($water);
    }

    public function wallsTake(StageInflow $water): float
    {
        return ArealRate::of(
            $this->walls->kind,
            $water,
            $this->walls->maturity,
            $this->walls->fouling,
            $this->dying(),
        )->at($water->tan) * $this->walls->areaM2();
    }

    /** The load at which ammonia would settle at a level; oxygen as it would then be is given. */
    public function carries(float $tan, float $oxygen): float
    {
        return $this->uptake($tan, $oxygen) + $this->changed($tan);
    }

    /** Oxygen when so much is nitrified beside what the fish breathe, g/d. */
    public function oxygen(float $nitrified, float $fishOxygen): float
    {
        return $this->air->settles(($fishOxygen + DailyLoad::O2_PER_N * max(0.0, $nitrified)) / 24 + $this->night);
    }

    /** What leaves with the water changed, less what new water brings. */
    public function changed(float $tan): float
    {
        return $this->changeM3D * ($tan - $this->sourceTan);
    }

    public function settle(float $load, float $fishOxygen): Settled
    {
        $tan = $this->sourceTan;
        $oxygen = $this->oxygen($load, $fishOxygen);
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $found = $this->tanAt($load, $oxygen);
            if ($found === null) {
                return new Settled(null, null, $this->oxygen($load, $fishOxygen), null, null, null);
            }
            $again = $this->oxygen($load - $this->changed($found), $fishOxygen);
            $settled = abs($again - $oxygen) < 1e-10;
            $tan = $found;
            $oxygen = $again;
            if ($settled || $this->changeM3D <= 0) {
                break;
            }
        }
        $nitrified = $this->uptake($tan, $oxygen);

        return new Settled(
            $tan,
            $this->nitriteAt($nitrified, $tan, $oxygen),
            $oxygen,
            $nitrified,
            $this->changed($tan),
            $tan * $this->unionised,
        );
    }

    private function tanAt(float $load, float $oxygen): ?float
    {
        $short = fn(float $tan): float => $load - $this->carries($tan, $oxygen);
        if ($short(0.0) <= 0) {
            return 0.0;
        }
        return self::crossing($short);
    }

    /** Nitrite that its oxidisers leave; null where they cannot keep up. */
    private function nitriteAt(float $nitrified, float $tan, float $oxygen): ?float
    {
        if ($nitrified <= 0) {
            return 0.0;
        }
        $greatest = $this->greatest();
        $brake = $oxygen / (self::DO2 + $oxygen) / (1 + ($tan * $this->unionised) / self::INHIBITION);
        $upkeep = $this->grown ? Colony::B2 / Colony::MU2 : 0.0;
        $short = fn(float $no2): float => $nitrified -
            $greatest * max(0.0, ($no2 / (self::K2 + $no2)) * $brake - $upkeep) -
            $this->changeM3D * $no2;
        return self::crossing($short);
    }

    /** @param  \Closure(float): float  $short */
    private static function crossing(\Closure $short): ?float
    {
        $high = Root::bracket($short, 0.5, self::MOST_MG_L);

        return $high === null ? null : Root::between($short, 0.0, $high, 1e-15 * max(1.0, $high));
    }

    /** g N/d that the grown surface could take with nothing short. */
    public function greatest(): float
    {
        return array_sum(
            array_map(fn(FilterStage $stage): float => $stage->grownGD($this->water->tempC), [
                ...$this->stages,
                $this->walls,
            ]),
        );
    }

    private function dying(): float
    {
        return $this->grown ? Colony::B1 / Colony::MU1 : 0.0;
    }
}
