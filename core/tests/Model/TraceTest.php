<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Model;

use Ironwort\Core\Model\Trace;
use PHPUnit\Framework\TestCase;

/** What is read off the days of a run, each from its very day on. */
final class TraceTest extends TestCase
{
    /**
     * @param  list<array{float, float, float}>  $days  day, ammonia, nitrite
     * @param  list<float>  $doses
     * @param  list<array{float, float}>  $buffered
     */
    private static function trace(array $days, array $doses = [], array $buffered = []): Trace
    {
        return new Trace(
            array_map(
                static fn(array $one): array => ['day' => $one[0], 'tan_mg_l' => $one[1], 'no2_n_mg_l' => $one[2]],
                $days,
            ),
            [],
            0.0,
            0.0,
            $doses,
            $buffered,
        );
    }

    public function test_the_highest_and_the_first_below_count_from_their_day_on(): void
    {
        $trace = self::trace([[0.0, 5.0, 0.0], [1.0, 4.0, 0.0], [2.0, 3.0, 0.0], [3.0, 3.0, 0.0]]);
        self::assertSame([5.0, 0.0], $trace->peak('tan_mg_l'));
        self::assertSame([4.0, 1.0], $trace->peak('tan_mg_l', 1.0));
        self::assertSame([3.0, 2.0], $trace->peak('tan_mg_l', 1.5), 'the first of equals');
        self::assertSame(2.0, $trace->below('tan_mg_l', 4.0, 0.0), 'below is not at');
        self::assertSame(1.0, $trace->below('tan_mg_l', 4.1, 1.0));
        self::assertNull($trace->below('tan_mg_l', 3.0, 0.0));
    }

    public function test_it_stays_under_both_limits_to_the_end_or_not_at_all(): void
    {
        $dips = [[0.0, 1.0, 0.0], [1.0, 0.1, 0.1], [2.0, 0.3, 0.1], [3.0, 0.2, 0.1], [4.0, 0.2, 0.1], [5.0, 0.1, 0.1]];
        $trace = self::trace($dips);
        self::assertSame(3.0, $trace->under(0.2, 0.1), 'at the limit is under it, and a first dip is none');
        self::assertSame(5.0, $trace->stayed(0.2, 0.1, 2.0));
        self::assertNull($trace->stayed(0.2, 0.1, 2.5));
        self::assertNull(self::trace([...$dips, [6.0, 0.1, 0.2]])->under(0.2, 0.1));
    }

    public function test_a_dose_that_is_gone_in_a_day_is_the_first_after_the_day_asked_for(): void
    {
        $trace = self::trace(
            [[0.0, 4.0, 0.0], [1.0, 2.0, 3.0], [2.0, 4.0, 0.1], [3.0, 0.2, 0.1], [4.0, 4.0, 0.0], [5.0, 0.1, 0.0]],
            [0.0, 2.0, 4.0],
        );
        self::assertSame(3.0, $trace->clears(0.0, 0.2, 0.1));
        self::assertSame(3.0, $trace->clears(2.0, 0.2, 0.1));
        self::assertSame(5.0, $trace->clears(2.1, 0.2, 0.1));
        self::assertNull($trace->clears(4.1, 0.2, 0.1));
    }

    public function test_what_was_buffered_counts_before_its_day_and_a_day_is_read_from_the_last_point_up_to_it(): void
    {
        $trace = self::trace([[0.0, 4.0, 0.0], [2.0, 3.0, 0.0]], [], [[1.0, 50.0], [3.0, 20.0]]);
        self::assertSame(0.0, $trace->buffered(1.0));
        self::assertSame(50.0, $trace->buffered(3.0));
        self::assertSame(70.0, $trace->buffered(3.1));
        self::assertSame(4.0, $trace->on(1.9)['tan_mg_l']);
        self::assertSame(3.0, $trace->on(2.0)['tan_mg_l']);
        self::assertSame(4.0, $trace->on(-1.0)['tan_mg_l']);
    }
}
