<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** One reading in a course of them: how many days ago it was taken, and at what hour of the day. */
final readonly class Point
{
    public function __construct(public float $daysAgo, public float $value, public float $high, public float $hour) {}
}
