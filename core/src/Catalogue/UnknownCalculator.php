<?php

declare(strict_types=1);

namespace Ironwort\Core\Catalogue;

/** A calculator was asked for by a name that nothing answers to. */
final class UnknownCalculator extends \RuntimeException
{
    public static function named(string $name): self
    {
        return new self("There is no calculator named {$name}.");
    }
}
