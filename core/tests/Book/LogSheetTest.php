<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Book;

use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Book\LogSheet;
use Ironwort\Core\Measure\UnitChoice;
use PHPUnit\Framework\TestCase;

final class LogSheetTest extends TestCase
{
    public function test_every_line_of_the_sheet_is_understood(): void
    {
        self::assertGreaterThan(10, count(LogSheet::lines()));
        foreach (LogSheet::lines() as $line) {
            self::assertSame([], LogLine::read($line)->faults, $line);
        }
        self::assertCount(13 + count(LogSheet::lines()), LogSheet::rows(UnitChoice::from([])));
    }

    public function test_it_says_what_a_bare_number_means_to_whoever_reads_it(): void
    {
        foreach ([[], ['volume' => 'imp_gal', 'mass' => 'oz']] as $chosen) {
            $units = UnitChoice::from($chosen);
            $books = array_column(LogSheet::rows($units), 'books', 'line');
            $change = LogLine::read('wc 900', units: $units)->changeL;
            $feed = LogLine::read('feed 220', units: $units)->feedG;
            self::assertSame("a water change of 900 {$units->shown(1, 'L')[1]}", $books['wc 900']);
            self::assertEqualsWithDelta(900, $units->shown((float) $change, 'L')[0], 1e-9);
            self::assertSame("220 {$units->shown(1, 'g')[1]} of feed", $books['feed 220']);
            self::assertEqualsWithDelta(220, $units->shown((float) $feed, 'g')[0], 1e-9);
        }
    }
}
