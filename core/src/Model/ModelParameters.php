<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Filter\Colony;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * What drives the water at one moment: load, temperature, oxygen, change, and what grows. What follows from it alone is
 * worked out once, for the rates are asked for many thousand times.
 *
 * X1max and X2max in mg N/L/d at 20 °C when grown full; load and changes per day and litre.
 */
final readonly class ModelParameters
{
    /** Of the greatest rate of ammonia oxidisers, by oxygen and pH; of nitrite oxidisers, by oxygen. */
    public float $limits1;

    public float $limits2;

    /** Share of ammonia that burns, 0 to 1. */
    public float $unionised;

    /** Rates against those at 20 °C; growth against that at 25. */
    public float $warmth;

    public float $growth;

    public float $sourceTan;

    public float $sourceNo2;

    public float $sourceNo3;

    public float $sourceAlk;

    /**
     * @param  float  $load  mg N/L/d of ammonia that the fish give
     * @param  float  $flow  share of the water changed in a day
     * @param  array<string, float>  $source  by key, of the water that comes in
     */
    public function __construct(
        public float $load,
        float $tempC,
        float $oxygen,
        float $ph,
        float $salinity,
        public float $flow,
        array $source,
        public float $xMax,
    ) {
        $this->limits1 = ($oxygen / (0.5 + $oxygen)) * ArealRate::phFactor($ph);
        $this->limits2 = $oxygen / (1 + $oxygen);
        $this->unionised = UnionisedAmmonia::of(1.0, $ph, $tempC, $salinity)->fraction;
        $this->warmth = ArealRate::warmth($tempC);
        $this->growth = Colony::warmth($tempC);
        $this->sourceTan = $source['tan_mg_l'] ?? 0.0;
        $this->sourceNo2 = $source['no2_n_mg_l'] ?? 0.0;
        $this->sourceNo3 = $source['no3_n_mg_l'] ?? 0.0;
        $this->sourceAlk = $source['alkalinity_mg_l'] ?? 0.0;
    }
}
