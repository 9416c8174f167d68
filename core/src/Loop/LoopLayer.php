<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** What lies in one chamber with others, pads over a settling space, bags over pads: the same water passes it. */
final readonly class LoopLayer
{
    public function __construct(public string $id, public string $name, public float $lossM, public float $lossAtM3s) {}
}
