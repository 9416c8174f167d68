<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/** An element between two named points of a network. */
final readonly class Link
{
    public function __construct(public string $id, public string $from, public string $to, public Element $element) {}
}
