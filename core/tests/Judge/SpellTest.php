<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Judge;

use Ironwort\Core\Judge\Spell;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SpellTest extends TestCase
{
    /** @return iterable<string, array{array<string, float>, list<string>, list<array{string, string, float, bool}>}> */
    public static function courses(): iterable
    {
        $day = static fn(int $n): string => sprintf('2026-05-%02d', $n);
        yield 'never bad' => [[], [$day(1), $day(2)], []];
        yield 'one day, good after it' => [[$day(3) => 2.0], [$day(3), $day(4)], [[$day(3), $day(3), 2.0, true]]];
        yield 'days that nobody read are within it' => [
            [$day(3) => 2.0, $day(9) => 3.0],
            [$day(3), $day(9)],
            [[$day(3), $day(9), 3.0, false]],
        ];
        yield 'a good day parts two' => [
            [$day(3) => 2.0, $day(5) => 1.0],
            [$day(3), $day(4), $day(5)],
            [[$day(3), $day(3), 2.0, true], [$day(5), $day(5), 1.0, false]],
        ];
        yield 'a fortnight is one' => [[$day(1) => 1.0, $day(15) => 1.5], [], [[$day(1), $day(15), 1.5, false]]];
        yield 'and a day more is two' => [
            [$day(1) => 1.0, $day(16) => 1.5],
            [],
            [[$day(1), $day(1), 1.0, false], [$day(16), $day(16), 1.5, false]],
        ];
    }

    /**
     * @param  array<string, float>  $bad
     * @param  list<string>  $read
     * @param  list<array{string, string, float, bool}>  $expected
     */
    #[DataProvider('courses')]
    public function test_it_lasts_until_it_is_read_good(array $bad, array $read, array $expected): void
    {
        self::assertSame(
            $expected,
            array_map(
                static fn(Spell $one): array => [$one->from, $one->until, $one->worst, $one->over],
                Spell::of($bad, $read, false),
            ),
        );
    }

    public function test_of_what_is_too_low_the_lowest_is_the_worst_and_days_are_counted_whole(): void
    {
        [$spell] = Spell::of(['2026-02-27' => 3.5, '2026-03-01' => 3.1], [], true);
        self::assertSame([3.1, '2026-03-01', 3], [$spell->worst, $spell->worstOn, $spell->days()]);
    }
}
