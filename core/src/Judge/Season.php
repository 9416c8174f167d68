<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/**
 * A time of the year as the water shows it: it is cold, warming up, warm or hot, wherever and whenever that is.
 *
 * Temperatures in °C; `$hours` by context and parameter.
 */
final readonly class Season
{
    /**
     * @param  array<string, array<string, float>>  $hours
     * @param  list<string>  $dawn  parameters that are read at dawn
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $says,
        private ?float $fromC,
        private ?float $belowC,
        private ?float $warmedByC,
        public array $hours,
        public array $dawn,
    ) {}

    public function fits(float $nowC, ?float $monthAgoC): bool
    {
        return ($this->fromC === null || $nowC >= $this->fromC) &&
            ($this->belowC === null || $nowC < $this->belowC) &&
            ($this->warmedByC === null || ($monthAgoC !== null && round($nowC - $monthAgoC, 6) >= $this->warmedByC));
    }

    /** Whether only a reading at dawn counts. A parameter that is read daily or more often is read at any hour. */
    public function atDawn(string $parameter, float $everyH): bool
    {
        return $everyH > 24 && in_array($parameter, $this->dawn, true);
    }
}
