<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Exchange\Refill;

/** A part where it stands: what must be stopped for it, what shuts it off, where its water goes. */
final readonly class Setting
{
    /**
     * @param  array<string, string>  $pumps  names of what moves its water, by key
     * @param  list<string>  $dryPumps  names of those of them that must be primed
     * @param  array<string, string>  $lamps  names of lamps that lie on the same water, by key
     * @param  array<string, string>  $heaters
     * @param  list<string>  $valves  names of the lines whose valves shut it off
     * @param  list<string>  $layers  names of what lies in its chamber
     * @param  list<string>  $returns  names of the returns to look at
     * @param  ?string  $waste  name of its waste line
     * @param  ?float  $wasteLS  what that carries, L/s; null where its fall is not known
     * @param  ?float  $waterL  water in it
     * @param  ?string  $air  the outlet that leads air to it
     * @param  bool  $fishAir  whether the fish breathe of that air
     * @param  ?LessAir  $lessAir  what the fish keep of oxygen while that air is away; null where it is not known
     * @param  list<string>  $inWater  what is in the water: salt, a treatment
     * @param  ?Refill  $refill  what puts water back by itself
     * @param  ?string  $drainsTo  sewer, soakaway, garden or tank
     */
    public function __construct(
        public string $name,
        public array $pumps = [],
        public array $dryPumps = [],
        public array $lamps = [],
        public array $heaters = [],
        public array $valves = [],
        public array $layers = [],
        public array $returns = [],
        public ?string $waste = null,
        public ?float $wasteLS = null,
        public ?float $waterL = null,
        public ?string $air = null,
        public array $inWater = [],
        public ?string $drainsTo = null,
        public ?string $selfId = null,
        public bool $fishAir = false,
        public ?LessAir $lessAir = null,
        public ?Refill $refill = null,
    ) {}
}
