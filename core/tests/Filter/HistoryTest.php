<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Filter;

use Ironwort\Core\Filter\CleanWeeks;
use Ironwort\Core\Filter\Evidence;
use Ironwort\Core\Filter\Stop;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Tests\Calculations;
use Ironwort\Core\Tests\Reference;
use PHPUnit\Framework\TestCase;

/** What lives in a filter follows its own past, and nothing before it. */
final class HistoryTest extends TestCase
{
    use Calculations;

    /** scipy's solve_ivp, the equation written out again from its source. */
    public function test_a_past_agrees_with_scipy(): void
    {
        $pasts = [
            [[40, 0.6, 20, 365, 6, 1], []],
            [[40, 0.6, 20, 365, 6, 1], [[60, 'load', 12], [20, 'load', 3]]],
            [[40, 0.6, 25, 90, 6, 0], [[42, 'media', 1]]],
            [[100, 0.5, 14, 200, 4, 0.6], [[120, 'media', 1], [50, 'lost', 0.7], [10, 'load', 9]]],
            [[40, 0.6, 18, 300, 5, 1], [[200, 'slept', 90], [110, 'load', 5]]],
            [[30, 0.8, 28, 100, 0, 1], [[50, 'load', 2]]],
        ];
        $expected = Reference::python(
            'history_scipy.py',
            array_map(
                static fn(array $past): string => implode(' ', $past[0]) .
                    ' | ' .
                    implode(';', array_map(static fn(array $row): string => implode(',', $row), $past[1])),
                $pasts,
            ),
        );
        foreach ($pasts as $i => [$head, $rows]) {
            $found = $this->figure('filter.history', self::input($head, $rows), 'active_pct');
            self::assertEqualsWithDelta($expected[$i], $found, 0.02 * $expected[$i] + 0.02, "past {$i}");
        }
    }

    public function test_more_load_never_leaves_less_and_a_loss_never_more(): void
    {
        mt_srand(1);
        for ($i = 0; $i < 200; $i++) {
            $rows = [];
            for ($j = mt_rand(0, 5); $j > 0; $j--) {
                $kind = ['load', 'lost', 'slept', 'warmth', 'seeded'][mt_rand(0, 4)];
                $value = ['load' => mt_rand(0, 200) / 10, 'lost' => mt_rand(0, 100) / 100, 'slept' => mt_rand(0, 60)];
                $rows[] = [
                    mt_rand(0, 300),
                    $kind,
                    $value[$kind] ?? ($kind === 'warmth' ? mt_rand(4, 30) : mt_rand(0, 50) / 10),
                ];
            }
            $head = [mt_rand(1, 100), mt_rand(10, 100) / 100, mt_rand(4, 30), 300, mt_rand(0, 200) / 10, 1];
            $of = fn(array $more, array $head): array => $this->calculate(
                'filter.history',
                self::input($head, [...$rows, ...$more]),
            )->figures;
            $now = $of([], $head);
            self::assertGreaterThanOrEqual($now['active_low_pct'], $now['active_pct']);
            self::assertLessThanOrEqual($now['active_high_pct'], $now['active_pct']);
            self::assertLessThanOrEqual(100.0, $now['active_high_pct']);
            $lost = $of([[0, 'lost', 0.5]], $head)['active_pct'];
            self::assertLessThanOrEqual($now['active_pct'] + 1e-9, $lost);
            self::assertGreaterThanOrEqual($now['active_pct'] - 1e-9, $of([[0, 'seeded', 3]], $head)['active_pct']);
            self::assertEqualsWithDelta(
                $now['active_pct'],
                $of([[0, 'load', 500]], $head)['active_pct'],
                1e-9,
                'new stock raises the load at once and the filter never',
            );
        }
    }

    public function test_time_without_ammonia_never_grows_a_filter(): void
    {
        $before = INF;
        foreach ([0, 1, 7, 30, 90] as $days) {
            $left = $this->figure(
                'filter.history',
                self::input([40, 0.6, 20, 300, 6, 1], [[$days, 'load', 0]]),
                'active_pct',
            );
            self::assertLessThan($before, $left);
            $before = $left;
        }
    }

    public function test_eight_weeks_of_clean_tests_prove_a_filter_and_gaps_or_a_bad_one_do_not(): void
    {
        $weekly = array_map(static fn(int $week): array => ['daysAgo' => 7.0 * $week, 'high' => 0.1], range(0, 7));

        self::assertTrue(CleanWeeks::proven($weekly, $weekly));
        self::assertFalse(CleanWeeks::proven($weekly, array_slice($weekly, 0, 4)), 'four weeks of nitrite are missing');
        self::assertFalse(CleanWeeks::proven([...$weekly, ['daysAgo' => 3.0, 'high' => 0.3]], $weekly));
        self::assertTrue(
            CleanWeeks::proven([...$weekly, ['daysAgo' => 57.0, 'high' => 3.0]], $weekly),
            'what was nine weeks ago does not count',
        );
        self::assertFalse(CleanWeeks::proven([], $weekly));
    }

    public function test_clean_readings_of_a_loaded_filter_argue_against_what_is_reckoned(): void
    {
        $argues = static fn(
            State $state,
            ?float $tan,
            ?float $no2,
            float $ago,
            float $loaded,
        ): bool => Evidence::contradicts($state, $tan, $no2, $ago, $loaded);

        self::assertTrue($argues(State::Emergency, 0.1, 0.05, 20, 100));
        self::assertFalse($argues(State::Watch, 0.1, 0.05, 20, 100), 'there is nothing to argue against');
        self::assertFalse($argues(State::Act, 0.3, 0.05, 20, 100));
        self::assertFalse($argues(State::Act, 0.1, null, 20, 100), 'of two one is missing');
        self::assertFalse($argues(State::Act, 0.1, 0.05, 73, 100), 'too long ago');
        self::assertFalse($argues(State::Act, 0.1, 0.05, 2, 23), 'fish of yesterday have not shown yet');
    }

    public function test_a_stop_costs_each_stage_by_whether_it_is_packed(): void
    {
        $half = [['packed' => true, 'carries' => 2.0], ['packed' => false, 'carries' => 2.0]];

        self::assertNull(Stop::of(0.9, $half));
        self::assertNull(Stop::of(6, []));
        self::assertEqualsWithDelta(0.5 * 90 + 0.5 * 20, Stop::of(6, $half)?->lost, 1e-9);
        self::assertSame('stood_open', Stop::of(6, [['packed' => false, 'carries' => 1.0]])?->deed->value);
        self::assertSame('stood_closed', Stop::of(6, [['packed' => true, 'carries' => 1.0]])?->deed->value);
    }

    /**
     * @param  list<float|int>  $head  greatest, hardest, temp, days, load, standing
     * @param  list<array{float|int, string, float|int}>  $rows
     * @return array<string, mixed>
     */
    private static function input(array $head, array $rows): array
    {
        [$greatest, $hardest, $temp, $days, $load, $standing] = $head;

        return [
            'greatest_g_d' => $greatest,
            'flat_out_pct' => 100 * $hardest,
            'temp_c' => $temp,
            'days' => $days,
            'load_g_d' => $load,
            'standing_pct' => 100 * $standing,
            'happened' => array_map(
                static fn(array $row): array => [
                    'days_ago' => $row[0],
                    'kind' => $row[1],
                    'value' => in_array($row[1], ['lost', 'media'], true) ? 100 * $row[2] : $row[2],
                ],
                $rows,
            ),
        ];
    }
}
