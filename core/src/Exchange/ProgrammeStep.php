<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/** One change of a programme: on which day, of how much, and the water before and after it. */
final readonly class ProgrammeStep
{
    /** @param  float  $share  of the water, 0 to 1 */
    public function __construct(
        public int $day,
        public int $ofDay,
        public float $share,
        public WaterMix $before,
        public WaterMix $after,
    ) {}

    /** Whether it turns more ammonia to what burns than stood there, and past a limit: closed, or once it is aired. */
    public function burns(float $limitMgL): bool
    {
        return Burning::of($this->before, $this->after, $limitMgL);
    }
}
