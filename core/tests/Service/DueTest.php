<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Service;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Service\Due;
use Ironwort\Core\Service\JobTable;
use Ironwort\Core\Service\ServiceWater;
use Ironwort\Core\Service\Wear;
use Ironwort\Core\Service\YearSeason;
use Ironwort\Core\Words\Message;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** When a job is due: interval, season, feed, what was seen, hours run. */
final class DueTest extends TestCase
{
    private static function jobs(): JobTable
    {
        return Library::shipped()->jobs();
    }

    private static function due(
        string $job,
        ?float $since,
        ?float $temp = 16,
        ?float $feed = 0.6,
        Wear $wear = new Wear(),
        string $kind = 'holding',
    ): Due {
        return Due::of(self::jobs()->get($job), self::jobs(), new ServiceWater($kind, $temp, $feed), $since, $wear);
    }

    /**
     * The intervals that common practice names, in temperate water with usual feed.
     *
     * @return iterable<string, array{string, float, string}>
     */
    public static function intervals(): iterable
    {
        yield 'gravity filter monthly' => ['wash_pads', 30, 'holding'];
        yield 'compact quarantine filter every three weeks' => ['wash_pads', 21, 'quarantine'];
        yield 'pre-filter sponge twice a month' => ['wash_sponge', 15, 'holding'];
        yield 'sleeve each quarter' => ['wipe_sleeve', 91, 'holding'];
        yield 'lamp each year' => ['change_lamp', 365, 'holding'];
        yield 'floor weekly to fortnightly' => ['vacuum', 10, 'holding'];
    }

    #[DataProvider('intervals')]
    public function test_a_job_is_early_then_soon_then_due_then_late(string $job, float $every, string $kind): void
    {
        $at = static fn(float $share): Due => self::due($job, $share * $every, kind: $kind);

        self::assertSame(
            ['early', 'soon', 'soon', 'due', 'due', 'late'],
            array_map(static fn(float $share): string => $at($share)->stands, [0.74, 0.76, 0.999, 1.0, 1.49, 1.5]),
        );
        self::assertEqualsWithDelta(0.1 * $every, $at(0.9)->leftD, 1e-9);
        self::assertSame('unknown', self::due($job, null)->stands);
        self::assertFalse(self::due($job, null)->now());
    }

    public function test_cold_water_and_little_feed_make_it_wait_and_warm_water_and_much_feed_do_not(): void
    {
        $every = static fn(float $temp, float $feed): ?float => self::due('wash_pads', 1, $temp, $feed)->everyD;

        self::assertEqualsWithDelta(30 * 2.5 * 2, $every(5, 0.0), 1e-9);
        self::assertEqualsWithDelta(30 * 1.5 * 1.3, $every(10, 0.2), 1e-9);
        self::assertEqualsWithDelta(30, $every(16, 0.6), 1e-9);
        self::assertEqualsWithDelta(30 * 0.75 * 0.75, $every(24, 1.5), 1e-9);
        self::assertEqualsWithDelta(30, self::due('wash_pads', 1, null, null)->everyD, 1e-9);
        self::assertSame(91.0, self::due('wipe_sleeve', 1, 5, 0)->everyD, 'a sleeve fouls whatever the season');
        $own = self::due('wash_pads', 1, 5, 0, new Wear(ownD: 14));
        self::assertSame(14.0, $own->everyD, 'the keeper’s own interval holds as it is');
        self::assertSame([], $own->why);
    }

    /** @return iterable<string, array{string, Wear, ?string}> */
    public static function seen(): iterable
    {
        yield 'flow down by a fifth' => ['wash_pads', new Wear(flowShare: 0.8), 'service.flow_fallen'];
        yield 'flow down by less' => ['wash_pads', new Wear(flowShare: 0.81), null];
        yield 'half buried' => ['wash_pads', new Wear(fouledPct: 50), 'service.seen_fouled'];
        yield 'less buried' => ['wash_pads', new Wear(fouledPct: 49), null];
        yield 'drop up by a fifth' => ['backwash', new Wear(pressedShare: 1.2), 'service.pressure_up'];
        yield 'lamp burnt 9,000 h' => ['change_lamp', new Wear(hours: 9000), 'service.hours_over'];
        yield 'lamp burnt less' => ['change_lamp', new Wear(hours: 8999), null];
        yield 'flow tells nothing of a lamp' => ['change_lamp', new Wear(flowShare: 0.5), null];
    }

    #[DataProvider('seen')]
    public function test_what_is_seen_makes_it_due_at_once(string $job, Wear $wear, ?string $code): void
    {
        $due = self::due($job, 1, wear: $wear);

        self::assertSame($code !== null, $due->now());
        self::assertSame(
            $code === null ? [] : [$code],
            array_map(static fn(Message $one): string => $one->code, $due->why),
        );
    }

    public function test_who_waits_until_it_slows_is_told_by_what_is_seen_alone(): void
    {
        self::assertSame('early', self::due('wash_pads', 400, wear: new Wear(onlyWhenSlow: true))->stands);
        self::assertTrue(self::due('wash_pads', 1, wear: new Wear(flowShare: 0.7, onlyWhenSlow: true))->now());
        self::assertSame('late', self::due('wipe_sleeve', 400, wear: new Wear(onlyWhenSlow: true))->stands);
    }

    public function test_dirt_that_blocks_it_sooner_shortens_the_interval_and_never_lengthens_it(): void
    {
        self::assertSame(12.0, self::due('wash_pads', 1, wear: new Wear(blocksD: 12))->everyD);
        self::assertSame(30.0, self::due('wash_pads', 1, wear: new Wear(blocksD: 200))->everyD);
    }

    /** @return iterable<string, array{?float, ?float, ?YearSeason}> water now, four weeks ago, the season */
    public static function years(): iterable
    {
        yield 'cold' => [7.9, 7.5, YearSeason::Winter];
        yield 'cold and warming' => [7.0, 4.9, YearSeason::Spring];
        yield 'warming' => [14.0, 12.0, YearSeason::Spring];
        yield 'spring ends at eighteen' => [18.0, 15.0, null];
        yield 'and is it just below' => [17.9, 15.0, YearSeason::Spring];
        yield 'autumn begins below sixteen' => [15.9, 17.9, YearSeason::Autumn];
        yield 'and not at it' => [16.0, 18.0, null];
        yield 'eight is not cold' => [8.0, 8.0, null];
        yield 'warming too little' => [14.0, 12.1, null];
        yield 'warm' => [20.0, 15.0, YearSeason::Summer];
        yield 'cooling' => [12.0, 14.5, YearSeason::Autumn];
        yield 'cooling from the summer' => [17.0, 21.0, null];
        yield 'as it was, unknown how' => [14.0, null, null];
        yield 'not measured' => [null, 12.0, null];
    }

    #[DataProvider('years')]
    public function test_the_season_is_told_by_the_water(?float $now, ?float $monthAgo, ?YearSeason $season): void
    {
        self::assertSame($season, YearSeason::of($now, $monthAgo));
    }

    public function test_a_job_of_a_season_is_due_once_in_it(): void
    {
        $due = static fn(?YearSeason $season, ?float $since): string => Due::of(
            self::jobs()->get('spring_plumbing'),
            self::jobs(),
            new ServiceWater('display', 12, 0.5, $season),
            $since,
            new Wear(),
        )->stands;

        self::assertSame('due', $due(YearSeason::Spring, null));
        self::assertSame('due', $due(YearSeason::Spring, 350));
        self::assertSame('early', $due(YearSeason::Spring, 20));
        self::assertSame('early', $due(YearSeason::Winter, null));
        self::assertSame('early', $due(null, 350));
    }
}
