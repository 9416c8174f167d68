<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** A named, pure computation with declared inputs: no clock, no database, no state. */
interface Calculator
{
    /** Dotted name, as `ammonia.unionised`. */
    public function name(): string;

    public function title(): string;

    /** @return list<Input> */
    public function inputs(): array;

    /** @return list<Output> */
    public function outputs(): array;

    /** @throws BadInput when values that are each in range cannot stand together */
    public function calculate(Given $given): Result;
}
