<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** The three lines on one side of good water, in canonical units. */
final readonly class Bounds
{
    public function __construct(public float $watch, public float $act, public float $emergency) {}
}
