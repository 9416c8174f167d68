<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

/**
 * A quarantine that is held at a temperature.
 *
 * @source cp-quarantine
 */
final readonly class HeldWarmth
{
    /** Of a shed whose air nobody measured, °C. Shown as assumed. */
    public const AIR_C = 15.0;

    /** How far it may fall in a power cut before it matters, °C. */
    public const FALLS_C = 3.0;
}
