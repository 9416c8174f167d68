<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** A running pump: it adds the head of its curve, and lets nothing back. */
final readonly class PumpElement implements Element
{
    public function __construct(public PumpCurve $curve) {}

    public function headLoss(float $flow): float
    {
        return -$this->curve->head($flow);
    }

    public function oneWay(): bool
    {
        return true;
    }
}
