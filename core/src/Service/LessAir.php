<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

/** Oxygen of the fish while their air stirs a bed. */
final readonly class LessAir
{
    /**
     * @param  float  $afterMgL  after half an hour, mg/L
     * @param  float  $settlesMgL  where it comes to rest, mg/L
     * @param  ?float  $limitMgL  the least these fish are kept at, mg/L; null where no school says one
     */
    public function __construct(public float $afterMgL, public float $settlesMgL, private ?float $limitMgL) {}

    public function low(): bool
    {
        return $this->limitMgL !== null && $this->afterMgL < $this->limitMgL;
    }
}
