<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/**
 * One line of a loop: bore in mm, length in m, K of its fittings, its valve and how high it ends above the water.
 *
 * A guard keeps fish out of it; a return that falls, sprays or jets breaks the surface; an overflow
 * takes only what stands above its lip. Spot and aim say where in the vessel it opens and which way it blows; `mouthM`
 * is how deep the mouth of a suction lies under still water.
 */
final readonly class LoopLine
{
    /** @param  ?float  $valveOpenPct  null without a valve */
    public function __construct(
        public string $id,
        public string $name,
        public Place $from,
        public Place $to,
        public float $boreMm,
        public float $lengthM,
        public float $fittingsK,
        public ?float $valveOpenPct = null,
        public bool $checkValve = false,
        public float $endsAboveM = 0.0,
        public bool $waste = false,
        public bool $guarded = true,
        public bool $breaksSurface = false,
        public bool $overflow = false,
        public bool $withinReach = true,
        public ?string $spot = null,
        public ?string $aim = null,
        public ?string $leadsTo = null,
        public ?float $mouthM = null,
    ) {}

    /** The same with its valve turned to so many percent. */
    public function opened(float $pct): self
    {
        return new self(
            $this->id,
            $this->name,
            $this->from,
            $this->to,
            $this->boreMm,
            $this->lengthM,
            $this->fittingsK,
            $pct,
            $this->checkValve,
            $this->endsAboveM,
            $this->waste,
            $this->guarded,
            $this->breaksSurface,
            $this->overflow,
            $this->withinReach,
            $this->spot,
            $this->aim,
            $this->leadsTo,
            $this->mouthM,
        );
    }

    public function shut(): bool
    {
        return $this->valveOpenPct !== null && $this->valveOpenPct <= 0;
    }

    /** Whether it can carry water round the loop as it stands now. */
    public function open(): bool
    {
        return !$this->shut() &&
            !$this->waste &&
            $this->from->kind !== PlaceKind::Outside &&
            $this->to->kind !== PlaceKind::Outside;
    }
}
