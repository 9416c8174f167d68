<?php

declare(strict_types=1);

namespace Ironwort\Core\Numeric;

/** Something moves so fast against the whole that it cannot be followed in a sensible number of steps. */
final class TooStiff extends \RuntimeException
{
    public function __construct(public readonly float $at)
    {
        parent::__construct("It could not be followed past {$at}.");
    }
}
