<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** A line of pipe with its fittings, its open valve and perhaps a check valve. */
final readonly class LineElement implements Element
{
    public function __construct(public Pipe $pipe, private bool $checkValve = false) {}

    public function headLoss(float $flow): float
    {
        return $this->pipe->headLoss($flow);
    }

    public function oneWay(): bool
    {
        return $this->checkValve;
    }
}
