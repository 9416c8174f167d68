<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** Where a system comes to rest; null where it never does. Concentrations in mg/L, nitrogen in g/d. */
final readonly class Settled
{
    public function __construct(
        public ?float $tan,
        public ?float $nitrite,
        public float $oxygen,
        public ?float $nitrified,
        public ?float $changed,
        public ?float $unionised,
    ) {}
}
