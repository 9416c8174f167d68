<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

/** What is known of one part: how far it has run, and what was seen on it. */
final readonly class Wear
{
    /**
     * @param  ?float  $ownD  the keeper's own interval, days
     * @param  ?float  $hours  it has run, where hours count
     * @param  ?float  $blocksD  days from a flush until dirt blocks it, by the load
     * @param  ?float  $fouledPct  as it was seen
     * @param  ?float  $flowShare  flow seen now over that after the last service
     * @param  ?float  $pressedShare  pressure or drop now over that after the last service
     * @param  bool  $onlyWhenSlow  the school that leaves it alone until it slows
     */
    public function __construct(
        public ?float $ownD = null,
        public ?float $hours = null,
        public ?float $blocksD = null,
        public ?float $fouledPct = null,
        public ?float $flowShare = null,
        public ?float $pressedShare = null,
        public bool $onlyWhenSlow = false,
    ) {}
}
