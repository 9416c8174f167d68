<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** A stage or fixture known by the head it loses at one flow; the loss grows with the square of flow. */
final readonly class ResistanceElement implements Element
{
    /** Keeps the loss rising where the square is flat, at no flow: a millimetre at ten times the known flow. */
    private const CREEP = 1e-4;

    /**
     * @param  float  $knownFlow  m³/s, above 0
     * @param  float  $knownLossM  m, 0 or more
     */
    public function __construct(private float $knownFlow, private float $knownLossM) {}

    public function headLoss(float $flow): float
    {
        $share = $flow / $this->knownFlow;

        return $this->knownLossM * $share * abs($share) + self::CREEP * $share;
    }

    public function oneWay(): bool
    {
        return false;
    }
}
