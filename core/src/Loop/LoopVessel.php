<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** Open water of a loop. Fish live in it, except in a sump or chamber. */
final readonly class LoopVessel
{
    public function __construct(public string $id, public string $name, public bool $holdsFish = true, public bool $netted = true)
    {
    }
}
