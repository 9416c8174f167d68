<?php

declare(strict_types=1);

namespace App\Forms;

use DateTimeZone;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/**
 * A time as it stands on the clock of a place, where one night of the year has an hour too few and another one twice.
 *
 * What could be either is asked about, and never guessed: a dose an hour off is another dose.
 */
final readonly class LocalTime
{
    private const ISO =
        '/^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ](\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?)?' . '\s*(Z|[+-]\d{2}:?\d{2})?$/';

    /** Clocks of two machines differ a little. */
    public const LEEWAY_MIN = 2;

    /**
     * @param  string  $text  as 2026-05-31 07:10, with or without a zone of its own
     * @param  string  $field  where an error stands
     * @param  string  $as  how a time with its zone is written there
     *
     * @throws BadInput at the field: no time, no such hour that night, or an hour that came twice
     */
    public static function read(string $text, string $zone, string $field, string $as = 'Y-m-d H:iP'): Carbon
    {
        $text = trim($text);
        if (
            preg_match(self::ISO, $text, $part) !== 1 ||
            !checkdate((int) $part[2], (int) $part[3], (int) $part[1]) ||
            (int) ($part[4] ?? 0) > 23 ||
            (int) ($part[5] ?? 0) > 59
        ) {
            throw BadInput::at($field, 'Write the time as 2026-05-31 07:10.');
        }
        if (($part[7] ?? '') !== '') {
            return Carbon::parse($text)->utc();
        }
        $wall = Carbon::parse($text, 'UTC');
        $found = self::instants($wall, $zone);
        $clock = $wall->format('H:i');

        return match (count($found)) {
            1 => $found[0],
            0 => throw BadInput::at($field, self::skipped($wall, $zone)),
            default => throw BadInput::at(
                $field,
                "{$clock} came twice that night, when the clocks went back. Write " .
                    implode(
                        ' for the first or ',
                        array_map(
                            static fn(Carbon $at): string => $at->copy()->setTimezone($zone)->format($as),
                            $found,
                        ),
                    ) .
                    ' for the second.',
            ),
        };
    }

    /**
     * A time of something that has happened.
     *
     * @throws BadInput at the field, also where it is still to come
     */
    public static function past(string $text, string $zone, string $field): Carbon
    {
        $at = self::read($text, $zone, $field);
        self::refuseFuture($at, $zone, $field);

        return $at;
    }

    /** @throws BadInput at the field where it is still to come */
    public static function refuseFuture(Carbon $at, string $zone, string $field): void
    {
        if ($at->isAfter(Carbon::now()->addMinutes(self::LEEWAY_MIN))) {
            $now = Carbon::now($zone)->format('H:i');
            throw BadInput::at(
                $field,
                $at->isAfter(Carbon::now()->addDay())
                    ? 'This time is in the future. Book things after they happen.'
                    : "This time is still to come: it is {$now} there now. Does the clock of your device go ahead?",
            );
        }
    }

    /**
     * Every instant at which the clock of the zone shows this.
     *
     * @return list<Carbon> in their order
     */
    private static function instants(Carbon $wall, string $zone): array
    {
        $offsets = [];
        foreach ([-1, 1] as $day) {
            $offsets[] = (new DateTimeZone($zone))->getOffset($wall->copy()->addDays($day));
        }
        $found = [];
        foreach (array_unique($offsets) as $offset) {
            $at = $wall->copy()->subSeconds($offset);
            if ($at->copy()->setTimezone($zone)->format('Y-m-d H:i:s') === $wall->format('Y-m-d H:i:s')) {
                $found[] = $at;
            }
        }
        usort($found, static fn(Carbon $a, Carbon $b): int => $a <=> $b);

        return $found;
    }

    private static function skipped(Carbon $wall, string $zone): string
    {
        $zoned = new DateTimeZone($zone);
        $before = $zoned->getOffset($wall->copy()->subDay());
        $after = $zoned->getOffset($wall->copy()->addDay());
        $gap = abs($after - $before);

        return "{$wall->format('H:i')} was left out that night, when the clocks went forward. Was it " .
            $wall->copy()->subSeconds($gap)->format('H:i') .
            " or {$wall->copy()->addSeconds($gap)->format('H:i')}?";
    }
}
