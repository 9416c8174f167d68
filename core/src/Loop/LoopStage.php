<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/**
 * One filter stage as water meets it.
 *
 * Loses `lossM` of head at `lossAtM3s`. An open chamber has a rim above the bay's level and may be
 * drawn down only so far before the pump draws air; null where it does not apply or nobody said. A
 * stage inside a vessel takes its water straight from there; one that is bypassed lets it pass by.
 */
final readonly class LoopStage
{
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
    ) {}
}
