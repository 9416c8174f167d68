<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

/** A kind of aerator with what its table says of it; null where a way of reckoning does not apply. */
final readonly class DeviceKind
{
    public function __construct(
        public string $id,
        public string $name,
        public string $way,
        public ?float $sharePerM,
        public ?float $weir,
        public ?float $renews,
        public ?float $kgPerKwh,
        public string $source,
    ) {}
}
