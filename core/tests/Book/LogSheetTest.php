<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Book;

use Ironwort\Core\Book\LogLine;
use Ironwort\Core\Book\LogSheet;
use PHPUnit\Framework\TestCase;

final class LogSheetTest extends TestCase
{
    public function test_every_line_of_the_sheet_is_understood(): void
    {
        self::assertGreaterThan(10, count(LogSheet::lines()));
        foreach (LogSheet::lines() as $line) {
            self::assertSame([], LogLine::read($line)->faults, $line);
        }
        self::assertCount(13 + count(LogSheet::lines()), LogSheet::rows());
    }
}
