<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Filter\AfterSetback;
use Ironwort\Core\Filter\Deed;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Judge\TestSchedule;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a deed costs a filter, and how long it is watched for it. */
final class WashTest extends TestCase
{
    use Calculations;

    /** From memory: the table of the source `wash-from-memory`. */
    #[TestWith(['swished', null, 10, 5, 20])]
    #[TestWith(['hosed', null, 30, 15, 50])]
    #[TestWith(['hosed_chlorinated', null, 60, 30, 90])]
    #[TestWith(['replaced', null, 100, 100, 100])]
    #[TestWith(['stood_closed', 1, 5, 1, 20])]
    #[TestWith(['stood_closed', 6, 90, 60, 98])]
    #[TestWith(['stood_closed', 24, 100, 95, 100])]
    #[TestWith(['stood_closed', 500, 100, 95, 100])]
    #[TestWith(['stood_open', 6, 20, 5, 50])]
    #[TestWith(['stood_open', 24, 70, 40, 95])]
    public function testEachDeedCostsWhatTheTableSays(
        string $kind,
        ?float $hours,
        float $lost,
        float $low,
        float $high,
    ): void {
        $given = ['kind' => $kind, ...$hours === null ? [] : ['hours' => $hours]];

        self::assertEqualsWithDelta($lost, $this->figure('service.wash', $given, 'lost_pct'), 1e-9);
        self::assertEqualsWithDelta($low, $this->figure('service.wash', $given, 'low'), 1e-9);
        self::assertEqualsWithDelta($high, $this->figure('service.wash', $given, 'high'), 1e-9);
    }

    public function testOnlyTheMediaThatItBefellCounts(): void
    {
        $half = ['kind' => 'hosed_chlorinated', 'share_pct' => 50];

        self::assertEqualsWithDelta(30.0, $this->figure('service.wash', $half, 'lost_pct'), 1e-9);
        self::assertEqualsWithDelta(45.0, $this->figure('service.wash', $half, 'high'), 1e-9);
    }

    public function testMoreHoursNeverCostLessAndTheBandHoldsTheMiddle(): void
    {
        foreach (Deed::cases() as $deed) {
            $before = 0.0;
            for ($hours = 0.0; $hours <= 100; $hours += 0.5) {
                $costs = $deed->costs($hours);
                self::assertGreaterThanOrEqual($before, $costs['lost'], "{$deed->value} at {$hours} h");
                self::assertGreaterThanOrEqual($costs['low'], $costs['lost'], "{$deed->value} at {$hours} h");
                self::assertLessThanOrEqual($costs['high'], $costs['lost'], "{$deed->value} at {$hours} h");
                $before = $costs['lost'];
            }
        }
    }

    public function testAStopWithoutItsHoursIsAskedFor(): void
    {
        try {
            $this->calculate('service.wash', ['kind' => 'stood_closed']);
            self::fail('It has no hours.');
        } catch (BadInput $bad) {
            self::assertSame(['filter.wash_hours'], $bad->codes);
            self::assertArrayHasKey('hours', $bad->errors);
        }
    }

    public function testARinseInSystemWaterIsCareAndAnythingHarderIsWatched(): void
    {
        self::assertFalse(AfterSetback::counts(Deed::Swished->costs()['lost']));
        self::assertTrue(AfterSetback::counts(Deed::Hosed->costs()['lost']));
        self::assertFalse(AfterSetback::counts(Deed::Hosed->costs(share: 0.3)['lost']));
    }

    public function testSeveralSetbacksEachTakeOfWhatTheOtherLeft(): void
    {
        self::assertEqualsWithDelta(75.0, AfterSetback::together([50.0, 50.0]), 1e-9);
        self::assertSame(0.0, AfterSetback::together([]));
    }

    public function testAFilterThatWasSetBackIsTestedAsOneBeingStarted(): void
    {
        self::assertSame('setback', TestSchedule::context('holding', State::Watch, true));
        self::assertSame('incident', TestSchedule::context('holding', State::Emergency, true));
        self::assertSame('routine', TestSchedule::context('holding', State::Watch));
    }
}
