<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/**
 * How far back the book is looked through for what may be behind bad readings, and what counts.
 *
 * @source cp-setback
 */
final class LookBack
{
    /** Nitrite still tells three weeks later of what was done to the filter or asked of it. */
    public const DAYS = 21;

    /** Feed that rose by less is nothing, times. */
    private const RAISED = 1.1;

    /** Agents that a filter does not mind. */
    private const HARMLESS = ['salt', 'praziquantel'];

    /** @param  string  $agent  of the table of agents */
    public static function harmsFilter(string $agent): bool
    {
        return !in_array($agent, self::HARMLESS, true);
    }

    /** Feed in g/d before and after. */
    public static function raised(float $before, float $now): bool
    {
        return $now > self::RAISED * $before;
    }
}
