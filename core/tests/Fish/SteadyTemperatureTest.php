<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Fish;

use Ironwort\Core\Fish\SteadyTemperature;
use PHPUnit\Framework\TestCase;

final class SteadyTemperatureTest extends TestCase
{
    public function testAWarmDayAfterAColdWeekDoesNotCount(): void
    {
        // Six days at 6 and one at 16: (6 × 6 + 16) / 7.
        $week = array_fill_keys(['a', 'b', 'c', 'd', 'e', 'f'], [6.0]) + ['g' => [16.0]];

        self::assertEqualsWithDelta(52 / 7, SteadyTemperature::of(16.0, $week), 1e-12);
    }

    public function testAColdSnapCountsAtOnce(): void
    {
        self::assertSame(6.0, SteadyTemperature::of(6.0, ['a' => [18.0], 'b' => [17.0], 'c' => [6.0]]));
    }

    public function testADayCountsOnceHoweverOftenItWasRead(): void
    {
        self::assertEqualsWithDelta(
            12.0,
            SteadyTemperature::of(14.0, ['a' => [14.0, 13.0, 14.0, 15.0], 'b' => [10.0]]),
            1e-12,
        );
    }

    public function testWithoutABookTodayIsAllThereIs(): void
    {
        self::assertSame(14.0, SteadyTemperature::of(14.0, []));
    }
}
