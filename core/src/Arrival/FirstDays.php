<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

/**
 * What is kept to while fish are new in a system.
 *
 * @source cp-arrival
 */
final readonly class FirstDays
{
    /** Of what they get later. */
    public const FED_SHARE = 0.5;

    /** Of the system, as water kept ready for a change. */
    public const WATER_READY_SHARE = 0.25;
}
