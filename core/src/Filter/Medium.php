<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** One filter medium: surface per bulk volume as filled, with the range it is given as. */
final readonly class Medium
{
    public function __construct(
        public string $id,
        public string $name,
        public float $areaM2M3,
        public float $lowM2M3,
        public float $highM2M3,
        public string $state,
        public string $source,
        public ?string $remark,
        /** The medium that common practice puts in its place; null where there is none. */
        public ?string $instead = null,
    ) {}
}
