<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Measure\Format;

/**
 * When bottled bacteria are given, for those who give them.
 *
 * @source cp-culture
 */
final readonly class Culture
{
    private const ROUTINE_D = 7.0;

    private const INCIDENT_D = 2.5;

    private const FIRST_D = 60.0;

    /**
     * @param  ?float  $daysSinceLast  null where none was ever given
     * @param  ?float  $filterDays  how old the youngest filter is; null where nobody said
     */
    public static function says(?float $daysSinceLast, ?float $filterDays, bool $incident): string
    {
        $doubt =
            ' What it brings is uncertain: some start faster with it, some not at all. Keep a spare for an outage.';
        if (!$incident && ($filterDays === null || $filterDays > self::FIRST_D)) {
            return 'The filter is past its first two months: no culture is asked for as routine.' . $doubt;
        }
        $every = $incident ? self::INCIDENT_D : self::ROUTINE_D;
        $due = $daysSinceLast === null ? 0.0 : max(0.0, $every - $daysSinceLast);

        return ($incident ? 'In an incident two or three times a week' : 'In the first two months once a week') .
            ($due < 0.5 ? ': one is due.' : ': the next in ' . Format::number($due, 2) . ' days.') .
            $doubt;
    }
}
