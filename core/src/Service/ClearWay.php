<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Words\Message;

/** One way to clear green water, with what it does to the rest of this system. */
final readonly class ClearWay
{
    /**
     * @param  array{low: float, usual: float, high: float}  $nitrateGD  g N/d more (or, under 0, less) left as nitrate
     * @param  float  $nightGH  oxygen that is used more (or, under 0, less) by night, g/h
     * @param  float  $watts  that it takes day and night
     * @param  list<Message>  $says
     */
    public function __construct(
        public string $id,
        public array $nitrateGD,
        public float $nightGH,
        public float $watts,
        public array $says,
    ) {}
}
