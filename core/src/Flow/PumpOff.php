<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * How long a pump may stay off: until oxygen or ammonia is dangerous to the fish, and never longer than a filter
 * without flow stays sweet.
 *
 * @source cp-stopped-filter  a filter left closed goes foul in hours; four are taken
 */
final readonly class PumpOff
{
    public const FILTER_MIN = 240.0;

    private function __construct(public float $minutes, public string $decides) {}

    /**
     * @param  ?float  $fishMinutes  of `fish.shut_off`; null where the fish set no bound
     * @param  ?string  $by  oxygen or ammonia, what decides it there
     */
    public static function of(?float $fishMinutes, ?string $by): self
    {
        return $fishMinutes !== null && $fishMinutes <= self::FILTER_MIN
            ? new self(max(1.0, $fishMinutes), $by ?? 'oxygen')
            : new self(self::FILTER_MIN, 'filter');
    }
}
