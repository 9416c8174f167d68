<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\PumpCurve;

/** One water pump of a loop, with its curve. Off, it lets nothing through. */
final readonly class LoopPump
{
    public function __construct(public string $id, public string $name, public PumpCurve $curve, public float $powerW, public bool $on, public ?string $circuit = null)
    {
    }
}
