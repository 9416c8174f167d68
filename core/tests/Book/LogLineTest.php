<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Book;

use Ironwort\Core\Book\LogEntry;
use Ironwort\Core\Book\LogFault;
use Ironwort\Core\Book\LogLine;
use PHPUnit\Framework\TestCase;

final class LogLineTest extends TestCase
{
    public function test_a_bay_is_named_after_a_slash(): void
    {
        $bays = ['Bay 1', 'Bay 12', 'Tub east'];
        $line = LogLine::read('am .5 /bay 12 ph 7.8', $bays);
        self::assertSame(['Bay 12', [], 2], [$line->place, $line->faults, count($line->entries)]);
        self::assertSame('Tub east', LogLine::read('/TUB EAST t 18', $bays)->place);
        $wrong = LogLine::read('am .5 /bay 3 ph 7.8', $bays);
        self::assertSame([1, 6, 2], [count($wrong->faults), $wrong->faults[0]->at, count($wrong->entries)]);
        self::assertStringContainsString('there are Bay 1, Bay 12, Tub east', $wrong->faults[0]->message);
        self::assertNull(LogLine::read('am .5')->place);
    }

    public function test_a_whole_round_is_read_from_one_line(): void
    {
        $line = LogLine::read('am .5 ni .1 na 20 ph 7,8 T 64.4f do 7.2 kh 6 @7:10');
        self::assertSame([], $line->faults);
        self::assertSame(
            ['tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l', 'ph', 'temp_c', 'do_mg_l', 'alkalinity_mg_l'],
            array_map(static fn(LogEntry $e): string => $e->reading->parameter->value, $line->entries),
        );
        self::assertEqualsWithDelta(20 / 4.4268, $line->entries[2]->reading->value, 1e-4);
        self::assertEqualsWithDelta(7.8, $line->entries[3]->reading->value, 1e-9);
        self::assertEqualsWithDelta(18.0, $line->entries[4]->reading->value, 1e-9);
        self::assertEqualsWithDelta(107.09, $line->entries[6]->reading->value, 0.01);
        self::assertSame([7, 10, false], [$line->time?->hour, $line->time?->minute, $line->time?->yesterday]);
    }

    public function test_feed_and_a_note_stand_in_the_same_line_and_numbers_alone_are_a_round(): void
    {
        $line = LogLine::read('am .1 feed 220 note flashing in bay 2, by the pump');
        self::assertSame(
            [220.0, 'flashing in bay 2, by the pump', 1, []],
            [$line->feedG, $line->note, count($line->entries), $line->faults],
        );
        self::assertSame(220.0, LogLine::read('feed 220g')->feedG);
        $first = static fn(string $text): ?string => (LogLine::read($text)->faults[0] ?? null)?->message;
        self::assertStringContainsString('no grams behind it', (string) $first('feed'));
        self::assertStringContainsString('no grams behind it', (string) $first('feed lots'));
        self::assertStringContainsString('nothing behind note', (string) $first('am .1 note'));
        $round = LogLine::read('.5 .1 - 7.8 18.5');
        self::assertSame(
            ['tan_mg_l', 'no2_n_mg_l', 'ph', 'temp_c'],
            array_map(static fn(LogEntry $entry): string => $entry->reading->parameter->value, $round->entries),
        );
        self::assertStringContainsString('More numbers than the round has', (string) $first('.5 .1 20 7.8 18 7 6 9 5'));
    }

    public function test_every_mistake_is_pointed_at(): void
    {
        $faults = static fn(string $text): array => array_map(
            static fn(LogFault $f): array => [$f->at, $f->length],
            LogLine::read($text)->faults,
        );
        self::assertSame([[0, 2]], $faults('xx 5'), 'an unknown word');
        self::assertSame([[3, 2]], $faults('ph 78'), 'out of range');
        self::assertSame([[6, 2]], $faults('am .5 ni'), 'no number behind it');
        self::assertSame([[0, 2]], $faults('ph kh 6'), 'the next code in place of a number');
        self::assertSame([[6, 5]], $faults('am .5 am .2'), 'twice');
        self::assertSame([[6, 6]], $faults('am .5 @25:00'), 'no such time');
        self::assertSame([[0, 1], [6, 4]], $faults('é ph  7psu'), 'a unit unknown here');
    }

    public function test_a_change_and_the_spot_of_the_disc_stand_in_the_line(): void
    {
        $line = LogLine::read('wc 10% cy 40 at the bridge ph 7.8');
        self::assertSame(
            [[], 10.0, null, 'the bridge', 2],
            [$line->faults, $line->changePct, $line->changeL, $line->spot, count($line->entries)],
        );
        self::assertSame([900.0, null], [LogLine::read('wc 900l')->changeL, LogLine::read('wc 900')->changePct]);
        foreach (['wc', 'wc 140%', 'wc 0', 'wc some', 'cy 40 at', 'cy 40 at ph 7'] as $wrong) {
            self::assertCount(1, LogLine::read($wrong)->faults, $wrong);
        }
    }

    public function test_oxygen_in_percent_is_read_at_the_temperature_of_its_line(): void
    {
        // 9.092 mg/L at 20 °C, 1 atm (Standard Methods 4500-O, table of saturation).
        $read = static fn(string $line, float $altitude = 0.0): ?float => (
            array_values(
                array_filter(
                    LogLine::read($line, altitudeM: $altitude)->entries,
                    static fn(LogEntry $e): bool => $e->reading->parameter->value === 'do_mg_l',
                ),
            )[0] ?? null
        )?->reading->value;
        self::assertEqualsWithDelta(0.85 * 9.092, $read('do 85% t 20'), 0.006);
        self::assertEqualsWithDelta(9.09, $read('t 20 do 100%'), 0.006);
        self::assertLessThan(0.9 * 9.09, $read('t 20 do 100%', 1000.0));
        self::assertSame([3, 3], [LogLine::read('do 85%')->faults[0]->at, LogLine::read('do 85%')->faults[0]->length]);
        self::assertCount(1, LogLine::read('do 800% t 20')->faults);
    }

    public function test_yesterday_evening(): void
    {
        $time = LogLine::read('t 18 yesterday 19:00')->time;
        self::assertSame([19, 0, true], [$time?->hour, $time?->minute, $time?->yesterday]);
    }
}
