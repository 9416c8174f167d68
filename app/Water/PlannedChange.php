<?php

declare(strict_types=1);

namespace App\Water;

use App\Models\WaterSource;
use App\Volumes\WaterBody;

/**
 * One change or top-up as it is judged now: how much of which water, how long the pump may be off, what to put back.
 */
final readonly class PlannedChange
{
    /**
     * @param  string  $kind  batch or topup
     * @param  ?float  $plannedMin  how long the pump is to be off; null where it runs
     * @param  ?float  $dangerMin  how long it may be off at most
     * @param  ?string  $dangerBy  oxygen, ammonia or filter
     * @param  list<array{what: string, name: string, text: string, done: bool, good: string, amount: float,
     *     unit: ?string}>  $putBack
     * @param  bool  $done  it has been poured already: a fact
     */
    public function __construct(
        public string $kind,
        public float $litres,
        public WaterBody $body,
        public ?WaterSource $source,
        public ?float $plannedMin,
        public ?float $dangerMin,
        public ?string $dangerBy,
        public array $putBack,
        public bool $done,
    ) {}
}
