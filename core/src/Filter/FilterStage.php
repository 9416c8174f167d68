<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** One filter stage as it stands in the loop. Shares run 0 to 1. */
final readonly class FilterStage
{
    public function __construct(
        public StageKind $kind,
        public float $areaM2M3,
        public float $mediaL,
        public float $flowLH,
        public ?string $branch,
        public float $airLMin,
        public float $maturity,
        public float $fouling,
    ) {}

    /** Walls and stones, m², overgrown as any surface is that water passes slowly. */
    public static function walls(StageKind $kind, float $areaM2): self
    {
        return new self(
            kind: $kind,
            areaM2M3: 1000.0,
            mediaL: $areaM2,
            flowLH: 1.0,
            branch: null,
            airLMin: 0.0,
            maturity: 1.0,
            fouling: 0.0,
        );
    }

    /** The same with bacteria on only a share of what they fill. */
    public function thinned(float $share): self
    {
        return new self(
            kind: $this->kind,
            areaM2M3: $this->areaM2M3,
            mediaL: $this->mediaL,
            flowLH: $this->flowLH,
            branch: $this->branch,
            airLMin: $this->airLMin,
            maturity: $this->maturity * $share,
            fouling: $this->fouling,
        );
    }

    public function areaM2(): float
    {
        return ($this->areaM2M3 * $this->mediaL) / 1000;
    }

    /** What its surface takes as it is grown and clean, nothing short, g N/d; nothing where no water passes. */
    public function grownGD(float $tempC): float
    {
        return $this->flowLH > 0
            ? ArealRate::warmth($tempC) * $this->areaM2() * $this->kind->r20 * $this->maturity * (1 - $this->fouling)
            : 0.0;
    }

    /** Cubic metres through it in a day. */
    public function flowM3D(): float
    {
        return ($this->flowLH * 24) / 1000;
    }
}
