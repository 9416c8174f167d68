<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** A state word, and the line that was passed to earn it: its value in the canonical unit, and `above` or `below`. */
final readonly class Verdict
{
    public function __construct(public State $state, public ?float $passed = null, public ?string $side = null) {}
}
