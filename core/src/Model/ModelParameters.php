<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/**
 * What drives the water at one moment: load, temperature, oxygen, change, and what grows.
 *
 * X1max and X2max in mg N/L/d at 20 °C when grown full; load and changes per day and litre.
 */
final readonly class ModelParameters
{
    public function __construct(
        /** mg N/L/d of ammonia that the fish give. */
        public float $load,
        public float $tempC,
        public float $oxygen,
        public float $ph,
        public float $salinity,
        /** Share of the water changed in a day. */
        public float $flow,
        /** @var array<string, float> by key, of the water that comes in */
        public array $source,
        public float $xMax,
    ) {}
}
