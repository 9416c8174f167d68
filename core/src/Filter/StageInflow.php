<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\Given;

/**
 * The water that meets a stage. TAN in mg/L as N, oxygen in mg/L, alkalinity in mg/L as CaCO3.
 */
final readonly class StageInflow
{
    public function __construct(
        public float $tan,
        public float $oxygen,
        public float $tempC,
        public float $ph,
        public float $alkalinity,
        public float $salinityGL = 0.0,
    ) {}

    /** Water of a calculation, before any ammonia and oxygen are told. */
    public static function from(Given $given): self
    {
        return new self(
            tan: 0.0,
            oxygen: 0.0,
            tempC: $given->number('temp_c'),
            ph: $given->number('ph'),
            alkalinity: $given->number('alkalinity_mg_l'),
            salinityGL: $given->number('salinity_g_l'),
        );
    }

    public function after(float $tan, float $oxygen): self
    {
        return new self($tan, $oxygen, $this->tempC, $this->ph, $this->alkalinity, $this->salinityGL);
    }
}
