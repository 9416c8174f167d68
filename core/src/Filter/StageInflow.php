<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

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

    public function after(float $tan, float $oxygen): self
    {
        return new self($tan, $oxygen, $this->tempC, $this->ph, $this->alkalinity, $this->salinityGL);
    }
}
