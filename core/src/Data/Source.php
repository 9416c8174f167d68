<?php

declare(strict_types=1);

namespace Ironwort\Core\Data;

/**
 * One entry of the bibliography.
 *
 * `published`: a citation that can be looked up. `common practice`: what the trade does, with no
 * published source. `from memory`: a value or citation not checked against its source.
 */
final readonly class Source
{
    public function __construct(
        public string $id,
        public string $citation,
        public string $kind,
        public string $usedFor,
    ) {}
}
