<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/** Whether fish stand in a filter that has not grown to them yet. */
final class StartWithFish
{
    /** A filter is young for so long after its media went in, or after it woke, days. Common practice, no source. */
    public const YOUNG_D = 180;

    /** It has grown to its fish when it takes their load with a tenth to spare. Common practice, no source. */
    private const GROWN = 1.1;

    /**
     * @param  float  $load  g N/d
     * @param  float  $takes  g N/d that it takes today
     */
    public static function is(float $load, float $takes, float $daysOld): bool
    {
        return $load > 0 && $daysOld <= self::YOUNG_D && $takes < self::GROWN * $load;
    }
}
