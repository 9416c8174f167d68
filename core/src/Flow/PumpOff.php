<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * How long a system may stand without flow: until oxygen or ammonia is dangerous to the fish, and never longer than its
 * filter stands without losing a fifth of what lives in it.
 *
 * @see \Ironwort\Core\Filter\Stop for the filter
 */
final readonly class PumpOff
{
    /** What nothing bounds is looked at again within a day all the same, minutes. Common practice, no source. */
    public const LOOK_AGAIN_MIN = 1440.0;

    private function __construct(public float $minutes, public string $decides) {}

    /**
     * @param  ?float  $fishMinutes  of `fish.shut_off`, 0 where they are past it; null where the fish set no bound
     * @param  ?string  $by  oxygen or ammonia, what decides it there
     * @param  ?float  $filterMinutes  null where there is no filter
     */
    public static function of(?float $fishMinutes, ?string $by, ?float $filterMinutes): self
    {
        $filter = $filterMinutes ?? self::LOOK_AGAIN_MIN;

        return $fishMinutes !== null && $fishMinutes <= $filter
            ? new self($fishMinutes, $by ?? 'oxygen')
            : new self($filter, 'filter');
    }
}
