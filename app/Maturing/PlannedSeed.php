<?php

declare(strict_types=1);

namespace App\Maturing;

use Ironwort\Core\Filter\SeedKind;

/** A seed as it was told. */
final readonly class PlannedSeed
{
    /**
     * @param  ?string  $from  address or name of one of the keeper's own systems
     * @param  ?string  $fromStage  key of the stage it is taken from; the one with most media where none is named
     * @param  string  $donor  clean, sick or unknown
     * @param  bool  $madeUp  whether new medium takes its place at the donor
     * @param  string  $on  the day
     */
    public function __construct(
        public SeedKind $kind,
        public ?float $litres,
        public ?string $medium,
        public ?string $from,
        public ?string $fromStage,
        public string $donor,
        public bool $madeUp,
        public string $on,
    ) {}
}
