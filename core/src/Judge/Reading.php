<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Interval;

/** One reading in canonical units: the figure, and where the truth lies. */
final readonly class Reading
{
    public function __construct(public Parameter $parameter, public float $value, public Interval $interval) {}
}
