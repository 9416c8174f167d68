<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/** Something that was given and is in the water still. */
final readonly class Present
{
    /**
     * @param  string  $thing  id of the agent, or what it was given as
     * @param  ?float  $mgL  about how much is left, mg/L (µL/L); null where that is not known
     */
    public function __construct(public string $thing, public string $name, public ?float $mgL) {}
}
