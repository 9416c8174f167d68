<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Model;

use Ironwort\Core\Model\StartPhase;
use Ironwort\Core\Model\StartSigns;
use Ironwort\Core\Model\StartWithFish;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** A start with fish in it: the clock of changes, the most to feed, and what its readings show. */
final class FishInTest extends TestCase
{
    use Calculations;

    private const START = [
        'volume_l' => 4320,
        'biomass_kg' => 10,
        'feed_g_d' => 56,
        'protein_pct' => 40,
        'tan_mg_l' => 0.1,
        'ph' => 7.2,
        'temp_c' => 20,
        'alkalinity_mg_l' => 100,
    ];

    public function test_fed_at_the_ceiling_one_change_a_day_holds_it(): void
    {
        foreach ([[0.0, 50], [0.8, 50], [0.3, 30]] as [$removal, $pct]) {
            $start = [...self::START, 'removal_g_d' => $removal, 'change_pct' => $pct];
            $ceiling = $this->figure('start.fish_in', $start, 'feed_ceiling_g_d');
            $at = $this->calculate('start.fish_in', [
                ...$start,
                'feed_g_d' => $ceiling,
                'biomass_kg' => 1,
                // Just after a change, as it is left by one at the trigger.
                'tan_mg_l' => (1 - $pct / 100) * 0.5,
            ]);
            self::assertEqualsWithDelta(24.0, $at->number('hours_to_trigger'), 1e-6);
            $changes = array_sum(
                array_map(
                    static fn(mixed $day): int => is_array($day) && is_array($day['changes_at_h'])
                        ? count($day['changes_at_h'])
                        : 0,
                    (array) $at->figures['days'],
                ),
            );
            self::assertContains($changes, [2, 3], 'one a day, the last on the stroke of the third');
        }
    }

    public function test_the_ceiling_grows_with_the_filter_and_the_clock_slows(): void
    {
        [$hours, $ceiling] = [0.0, 0.0];
        foreach ([0, 0.5, 1.0, 1.5, 2.0] as $removal) {
            $now = $this->calculate('start.fish_in', [...self::START, 'removal_g_d' => $removal]);
            self::assertGreaterThan($ceiling, $now->number('feed_ceiling_g_d'));
            self::assertGreaterThan($hours, $now->number('hours_to_trigger'));
            [$ceiling, $hours] = [$now->number('feed_ceiling_g_d'), $now->number('hours_to_trigger')];
        }
        self::assertNull(
            $this->calculate('start.fish_in', [...self::START, 'removal_g_d' => 3])->figures['hours_to_trigger'],
        );
    }

    public function test_past_the_trigger_water_is_changed_at_once_and_ammonia_stays_under_it(): void
    {
        $now = $this->calculate('start.fish_in', [...self::START, 'tan_mg_l' => 0.7]);

        self::assertSame(0.0, $now->number('hours_to_trigger'));
        self::assertEqualsWithDelta(0.35, $now->number('after_mg_l'), 1e-9);
        foreach ((array) $now->figures['days'] as $i => $day) {
            self::assertIsArray($day);
            self::assertLessThanOrEqual($i === 0 ? 0.7 : 0.5 + 1e-9, $day['tan_max_mg_l']);
        }
    }

    public function test_a_source_that_holds_as_much_is_said_to_mend_nothing(): void
    {
        $now = $this->calculate('start.fish_in', [...self::START, 'tan_mg_l' => 0.6, 'source' => ['tan_mg_l' => 0.5]]);

        self::assertContains('model.fish_in_change_too_small', array_column($now->toArray()['cautions'], 'code'));
        self::assertSame(0.0, $now->number('feed_ceiling_g_d'));
    }

    public function test_a_start_with_fish_is_one_until_the_filter_has_grown_to_them(): void
    {
        self::assertTrue(StartWithFish::is(2.0, 0.1, 3));
        self::assertTrue(StartWithFish::is(2.0, 2.1, 30), 'a tenth to spare is wanted');
        self::assertFalse(StartWithFish::is(2.0, 2.3, 30));
        self::assertFalse(StartWithFish::is(2.0, 0.1, 181), 'old: that is an overload, no start');
        self::assertFalse(StartWithFish::is(0.0, 0.0, 3), 'no fish');
    }

    public function test_what_the_readings_of_a_start_show(): void
    {
        $zero = static fn(float ...$ago): array => array_values(
            array_map(static fn(float $days): array => ['daysAgo' => $days, 'value' => 0.0], $ago),
        );

        self::assertSame(7, StartSigns::unfedWeeks($zero(1, 20, 50)));
        self::assertNull(StartSigns::unfedWeeks($zero(1, 10)), 'not two weeks yet');
        self::assertNull(StartSigns::unfedWeeks([...$zero(1), ['daysAgo' => 20.0, 'value' => 0.5]]));
        self::assertTrue(StartSigns::firstNitrite([0.1, 0.0, 0.0]));
        self::assertFalse(StartSigns::firstNitrite([0.1]), 'nothing to compare with');
        self::assertFalse(StartSigns::firstNitrite([0.3, 0.1]), 'it was there before');
        self::assertFalse(StartSigns::firstNitrite([2.0, 0.0]), 'that is no trace');
        self::assertSame(60, StartSigns::seedAgainPct(0.4));
        self::assertSame(40, StartSigns::seedAgainPct(0.6));
        self::assertNull(StartSigns::seedAgainPct(0.61));
    }

    public function test_nitrite_that_shows_means_ammonia_is_taken_and_what_nobody_feeds_waits_for_nothing(): void
    {
        $now = static fn(float $tan, float $no2): array => ['tan_mg_l' => $tan, 'no2_n_mg_l' => $no2];

        self::assertSame(StartPhase::Ammonia, StartPhase::of($now(2.0, 0.1), 0.25, 0.25, false));
        // Nitrite shows from a twentieth of a milligram on; at their limits both are down.
        self::assertSame(StartPhase::Waiting, StartPhase::of($now(2.0, 0.05), 0.25, 0.25, false));
        self::assertSame(StartPhase::Ammonia, StartPhase::of($now(2.0, 0.051), 0.25, 0.25, false));
        self::assertSame(StartPhase::Nitrite, StartPhase::of($now(0.25, 0.26), 0.25, 0.25, false));
        self::assertSame(StartPhase::Proving, StartPhase::of($now(0.25, 0.25), 0.25, 0.25, false));
        self::assertSame(StartPhase::Ammonia, StartPhase::of($now(0.26, 0.26), 0.25, 0.25, false));
        self::assertSame(StartPhase::Waiting, StartPhase::of($now(2.0, 0.0), 0.25, 0.25, false));
        self::assertSame(StartPhase::Unfed, StartPhase::of($now(0.0, 0.0), 0.25, 0.25, true, fed: false));
    }

    public function test_a_start_that_is_not_followed_yet_waits_or_has_nothing_to_wait_for(): void
    {
        self::assertSame(StartPhase::Unfed, StartPhase::before(false, null, false));
        self::assertSame(StartPhase::Unfed, StartPhase::before(false, 0.0, false));
        self::assertSame(StartPhase::Waiting, StartPhase::before(false, 0.01, false));
        self::assertSame(StartPhase::Waiting, StartPhase::before(false, 0.0, true));
        self::assertSame(StartPhase::Waiting, StartPhase::before(true, null, false));
    }

    public function test_fifty_days_of_zeros_in_an_empty_tank_are_no_start(): void
    {
        $result = $this->calculate('filter.maturation', [
            'volume_l' => 1000,
            'grown_mg_l_d' => 20,
            'temp_c' => 20,
            'then' => ['alkalinity_mg_l' => 100, 'tan_mg_l' => 0.0],
            'readings' => array_map(
                static fn(int $day): array => [
                    'day' => $day,
                    'tan_low_mg_l' => 0,
                    'tan_high_mg_l' => 0.1,
                    'no2_low_mg_l' => 0,
                    'no2_high_mg_l' => 0.05,
                ],
                [10, 20, 35, 50],
            ),
        ]);

        self::assertSame('unfed', $result->figures['stage']);
        self::assertNull($result->figures['ready_day']);
    }
}
