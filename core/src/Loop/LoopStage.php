<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/**
 * One filter stage as water meets it.
 *
 * Loses `lossM` of head at `lossAtM3s`. An open chamber has a rim above the bay's level and may be
 * drawn down only so far before the pump draws air; null where it does not apply or nobody said. A
 * stage inside a vessel takes its water straight from there; one that is bypassed lets it pass by. One
 * under pressure is closed, and may stand `mayPressM` of water at most. Layers lie in its chamber.
 */
final readonly class LoopStage
{
    /** @param  list<LoopLayer>  $layers */
    public function __construct(
        public string $id,
        public string $name,
        public float $lossM,
        public float $lossAtM3s,
        public ?float $rimM = null,
        public ?float $mayDropM = null,
        public ?float $waterL = null,
        public ?float $planM2 = null,
        public bool $settles = false,
        public ?string $insideVessel = null,
        public bool $bypassed = false,
        public bool $underPressure = false,
        public ?float $mayPressM = null,
        public bool $upflow = false,
        /** A UV lamp in its housing. */
        public bool $lamp = false,
        /** Whether most of the bacteria of the loop are in stages like it. */
        public bool $grows = false,
        public array $layers = [],
    ) {}

    /** Loss of the chamber with all its layers at `lossAtM3s`: head lost goes by the square of the flow. */
    public function wholeLossM(): float
    {
        return $this->lossM +
            array_sum(
                array_map(
                    fn(LoopLayer $layer): float => $layer->lossM * ($this->lossAtM3s / $layer->lossAtM3s) ** 2,
                    $this->layers,
                ),
            );
    }
}
