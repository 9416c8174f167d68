<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** A loop as it is built: open vessels at one water level, stages, pumps, and the lines between them. */
final readonly class Loop
{
    /**
     * @param  list<LoopVessel>  $vessels  all stand at the same level, joined or alike
     * @param  list<LoopStage>  $stages
     * @param  list<LoopPump>  $pumps
     * @param  list<LoopLine>  $lines
     * @param  list<AirPump>  $airPumps
     * @param  list<Junction>  $junctions
     * @param  list<Circulator>  $circulators
     */
    public function __construct(
        public array $vessels,
        public array $stages,
        public array $pumps,
        public array $lines,
        public float $tempC = 20.0,
        public array $airPumps = [],
        public array $junctions = [],
        public array $circulators = [],
    ) {}
}
