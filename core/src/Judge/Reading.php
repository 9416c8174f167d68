<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Interval;

/** One reading in canonical units: the figure, and where the truth lies. */
final readonly class Reading
{
    public function __construct(public Parameter $parameter, public float $value, public Interval $interval) {}

    /**
     * What it is judged by: where the truth lies. Of chlorine no kit reads what gills feel; a test that shows none is
     * the best there is, and asks for nothing. Common practice, no source.
     */
    public function heard(): Interval
    {
        return $this->parameter === Parameter::Chlorine && $this->value <= 0.0
            ? Interval::between(0.0, 0.0)
            : $this->interval;
    }
}
