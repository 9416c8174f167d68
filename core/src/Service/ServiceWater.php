<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

/** What of a system moves every interval: what it is for, its steady temperature, and how much is fed. */
final readonly class ServiceWater
{
    /**
     * @param  ?float  $steadyC  of the last days; null where nobody measured
     * @param  ?YearSeason  $season  as the water shows it
     * @param  ?float  $feedPct  of the weight of the fish a day; null without fish
     */
    public function __construct(
        public string $systemKind,
        public ?float $steadyC,
        public ?float $feedPct,
        public ?YearSeason $season = null,
    ) {}
}
