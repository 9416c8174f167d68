<?php

declare(strict_types=1);

namespace App\Capacity;

/** A run of readings that says what a filter took, and what was expected of it in that water. */
final readonly class MeasuredRun
{
    /** @param  array<string, mixed>  $input  of `filter.from_readings` */
    public function __construct(public array $input, public float $expectedGD) {}
}
