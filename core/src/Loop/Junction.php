<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** Where lines of a loop meet: a tee, a cross, a manifold. What its fittings lose is counted with the lines. */
final readonly class Junction
{
    public function __construct(public string $id, public string $name) {}
}
