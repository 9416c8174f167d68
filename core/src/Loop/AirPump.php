<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

/** An air pump beside the loop. */
final readonly class AirPump
{
    public function __construct(public string $name, public ?string $circuit, public bool $on) {}
}
