<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** Something water passes between two points of a network: a line, a pump, a stage. */
interface Element
{
    /**
     * Head lost from its start to its end at a flow in m³/s, in m; a gain is negative.
     *
     * Must rise with flow throughout, or the network may have no single answer.
     */
    public function headLoss(float $flow): float;

    /** Whether water can only pass from its start to its end. */
    public function oneWay(): bool;
}
