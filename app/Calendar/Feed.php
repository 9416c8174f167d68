<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\Site;
use Illuminate\Support\Carbon;
use Sabre\VObject\Component\VCalendar;

/**
 * What is due as an iCalendar that any calendar can follow: one event each, again where it comes again, in the zone of
 * the yard.
 */
final readonly class Feed
{
    /** Reminder before something that has an hour. */
    private const ALARM = '-PT30M';

    /** Clock changes are written down for so many years. */
    private const YEARS = 6;

    /** @param  list<CalendarItem>  $items */
    public static function of(Site $site, array $items): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Ironwort//Calendar//EN', 'X-WR-CALNAME' => $site->name]);
        self::zone($calendar, $site->timezone);
        foreach ($items as $item) {
            self::event($calendar, $site->timezone, $item);
        }

        return $calendar->serialize();
    }

    private static function event(VCalendar $calendar, string $zone, CalendarItem $item): void
    {
        // What is over is due today.
        $at = $item->late() ? Carbon::now($zone)->setTime(9, 0) : $item->at->copy()->setTimezone($zone);
        $name = $item->system === null ? $item->text : "{$item->system->name}: {$item->text}";
        $event = $calendar->createComponent('VEVENT', [
            'UID' => hash('sha256', $item->key) . '@ironwort',
            'SUMMARY' => $item->late() ? "Late: {$name}" : $name,
            'DTSTAMP' => Carbon::now('UTC')->toDateTimeImmutable(),
        ]);
        $timed = in_array($item->kind, ['dose', 'test'], true);
        if ($timed) {
            $start = new \DateTimeImmutable($at->format('Y-m-d H:i:s'), new \DateTimeZone($zone));
            $event->add('DTSTART', $start);
            $event->add('DTEND', $start->modify('+' . ($item->minutes ?? 15) . ' minutes'));
        } else {
            $event->add('DTSTART', $at->format('Ymd'), ['VALUE' => 'DATE']);
        }
        $every = $item->everyD === null ? 0 : (int) round($item->everyD);
        if ($every >= 1) {
            $event->add('RRULE', "FREQ=DAILY;INTERVAL={$every}");
        }
        $event->add(
            $calendar->createComponent('VALARM', [
                'ACTION' => 'DISPLAY',
                'DESCRIPTION' => $name,
                'TRIGGER' => $timed ? self::ALARM : 'PT9H',
            ]),
        );
        $calendar->add($event);
    }

    /** When the clocks of the yard change, so that an hour stays the hour it is there. */
    private static function zone(VCalendar $calendar, string $zone): void
    {
        $from = Carbon::now()->subYear();
        $changes = (new \DateTimeZone($zone))->getTransitions(
            $from->getTimestamp(),
            $from->copy()->addYears(self::YEARS)->getTimestamp(),
        );
        $timezone = $calendar->createComponent('VTIMEZONE', ['TZID' => $zone]);
        foreach ($changes as $i => $change) {
            $before = $changes[$i - 1]['offset'] ?? $change['offset'];
            $timezone->add(
                $calendar->createComponent($change['isdst'] ? 'DAYLIGHT' : 'STANDARD', [
                    'DTSTART' => gmdate('Ymd\THis', $change['ts'] + $before),
                    'TZOFFSETFROM' => self::offset($before),
                    'TZOFFSETTO' => self::offset($change['offset']),
                    'TZNAME' => $change['abbr'],
                ]),
            );
        }
        $calendar->add($timezone);
    }

    private static function offset(int $seconds): string
    {
        return sprintf(
            '%s%02d%02d',
            $seconds < 0 ? '-' : '+',
            intdiv(abs($seconds), 3600),
            intdiv(abs($seconds) % 3600, 60),
        );
    }
}
