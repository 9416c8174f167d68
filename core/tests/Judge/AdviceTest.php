<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Judge;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Judge\Advice;
use Ironwort\Core\Judge\Kit;
use Ironwort\Core\Judge\OpenTimer;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Plausible;
use Ironwort\Core\Judge\Point;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Judge\TestSchedule;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a run of readings says, what a kit's colour stands for, and when to test again. Common practice, no source. */
final class AdviceTest extends TestCase
{
    /** @param  array<string, list<array{float, float, 2?: float}>>  $runs  days ago, value, hour */
    private function said(array $runs, ?float $source = null): string
    {
        $courses = array_map(
            static fn(array $run): array => array_map(
                static fn(array $p): Point => new Point($p[0], $p[1], $p[1], $p[2] ?? 12.0),
                $run,
            ),
            $runs,
        );

        return implode(
            ' ',
            array_map(
                static fn(Advice $advice): string => "{$advice->message->code}: {$advice->message->text}",
                Advice::of($courses, Library::shipped()->limits(), 'adult', $source),
            ),
        );
    }

    public function test_without_readings_nothing_is_said(): void
    {
        self::assertSame('', $this->said([]));
    }

    public function test_nitrite_is_expected_after_ammonia_until_it_was_tested_and_found_low(): void
    {
        self::assertStringContainsString(
            'judge.advice_nitrite_to_come',
            $this->said(['tan_mg_l' => [[0, 0.1], [12, 1.5]]]),
        );
        self::assertStringNotContainsString(
            'judge.advice_nitrite_to_come',
            $this->said(['tan_mg_l' => [[0, 0.1], [12, 1.5]], 'no2_n_mg_l' => [[0, 0.02]]]),
        );
        self::assertStringNotContainsString(
            'judge.advice_nitrite_to_come',
            $this->said(['tan_mg_l' => [[0, 0.1], [60, 1.5]]]),
        );
        self::assertStringNotContainsString(
            'judge.advice_nitrite_to_come',
            $this->said(['tan_mg_l' => [[0, 0.1], [12, 1.5]], 'no2_n_mg_l' => [[0.1, 0.9]]]),
            'two hours after it was tested nobody is asked to test it',
        );
    }

    public function test_kh_that_falls_is_followed_to_the_week_it_runs_out(): void
    {
        // 0.4 dKH a week by hand: 7.14 mg/L; from 6 dKH (107.1) it is 8 weeks to 50.
        $run = array_map(static fn(int $week): array => [7.0 * $week, 107.1 + 7.14 * $week], range(0, 5));
        self::assertStringContainsString(
            'by 0.4 dKH a week and reaches 2.8 dKH in 7 weeks',
            $this->said(['alkalinity_mg_l' => $run]),
        );
        self::assertSame('', $this->said(['alkalinity_mg_l' => [[0, 107], [7, 107], [14, 107], [21, 107]]]));
        self::assertSame('', $this->said(['alkalinity_mg_l' => [[0, 90], [1, 107]]]), 'two readings are no run');
    }

    public function test_oxygen_at_noon_ammonia_without_ph_and_absurd_carbon_dioxide_are_named(): void
    {
        self::assertStringContainsString(
            'judge.advice_oxygen_at_dawn',
            $this->said(['do_mg_l' => [[1, 8, 13.5]], 'temp_c' => [[1, 22]]]),
        );
        self::assertSame('', $this->said(['do_mg_l' => [[1, 8, 13.5], [3, 7, 5.5]], 'temp_c' => [[1, 22]]]));
        self::assertSame(
            '',
            $this->said(['do_mg_l' => [[1, 8, 13.5]], 'temp_c' => [[1, 9]]]),
            'in cold water noon will do',
        );
        self::assertStringContainsString(
            'judge.advice_ammonia_without_ph',
            $this->said(['tan_mg_l' => [[0, 0.4]], 'ph' => [[5, 7.8]], 'temp_c' => [[0, 18]]]),
        );
        self::assertStringContainsString(
            'judge.advice_absurd_carbon_dioxide',
            $this->said(['ph' => [[0, 6.5]], 'alkalinity_mg_l' => [[0, 200]], 'temp_c' => [[0, 18]]]),
        );
    }

    #[TestWith([2.9, 17.9, false])]
    #[TestWith([2.9, 18.0, true])]
    #[TestWith([3.0, 18.0, false])]
    #[TestWith([7.9, 18.0, false])]
    #[TestWith([8.0, 18.0, true])]
    public function test_dawn_is_from_three_to_eight_where_it_counts(float $hour, float $tempC, bool $said): void
    {
        self::assertSame(
            $said,
            str_contains(
                $this->said(['do_mg_l' => [[1, 8, $hour]], 'temp_c' => [[1, $tempC]]]),
                'judge.advice_oxygen_at_dawn',
            ),
        );
    }

    public function test_nitrate_is_held_against_the_source_and_nitrite_against_the_salt(): void
    {
        self::assertStringContainsString(
            'judge.advice_nitrate_of_the_source',
            $this->said(['no3_n_mg_l' => [[0, 9]]], 8.0),
        );
        self::assertStringContainsString(
            'judge.advice_nitrate_by_changes',
            $this->said(['no3_n_mg_l' => [[0, 9]]], 1.0),
        );
        // 0.5 mg/L asks for 5 mg/L of chloride: 8.2 mg/L of salt, and finer than 0.1 g/L nobody weighs it.
        self::assertStringContainsString('Salt at 0.1 g/L', $this->said(['no2_n_mg_l' => [[0, 0.5]]]));
        // 10 mg/L asks for 100 of chloride, 0.165 g/L of salt: of 0.05 that is in it, 0.12 more.
        self::assertStringContainsString(
            'Add 0.2 g/L',
            $this->said(['no2_n_mg_l' => [[0, 10]], 'salinity_g_l' => [[2, 0.05]]]),
        );
        self::assertStringContainsString(
            'judge.advice_chloride_shields',
            $this->said(['no2_n_mg_l' => [[0, 0.2]], 'salinity_g_l' => [[2, 0.0]]]),
            'nobody is told of 0.0033 g/L',
        );
        self::assertStringContainsString(
            'judge.advice_chloride_shields',
            $this->said(['no2_n_mg_l' => [[0, 0.5]], 'salinity_g_l' => [[2, 1.0]]]),
        );
    }

    /** Worked by hand: the steps 0, 0.25, 0.5, 1, 2 of a drop kit. */
    public function test_a_colour_stands_for_all_that_is_nearer_to_it_than_to_its_neighbours(): void
    {
        $kit = new Kit([0, 0.25, 0.5, 1, 2]);
        $read = static fn(string $typed): array => [
            TypedReading::read(Parameter::Ammonia, $typed, 'mg_l_n', $kit)->interval->low,
            TypedReading::read(Parameter::Ammonia, $typed, 'mg_l_n', $kit)->interval->high,
        ];
        self::assertEqualsWithDelta([0.125, 0.375], $read('.25'), 1e-12);
        self::assertEqualsWithDelta([0, 0.125], $read('0'), 1e-12);
        self::assertEqualsWithDelta([0.75, 1.5], $read('1'), 1e-12);
        self::assertEqualsWithDelta([0.5, 1], $read('.7'), 1e-12);
        self::assertEqualsWithDelta([1.5, 200], $read('2'), 1e-12);
        self::assertEqualsWithDelta([3, 6], $read('1x4'), 1e-12);
        self::assertEqualsWithDelta(
            [7.75, 7.85],
            [
                TypedReading::read(Parameter::Ph, '7.8', null, new Kit([], 0.1))->interval->low,
                TypedReading::read(Parameter::Ph, '7.8', null, new Kit([], 0.1))->interval->high,
            ],
            1e-9,
        );
        // A photometer that ends at 3, and a strip that begins at 6.2, say so at their ends.
        $ends = static fn(Parameter $parameter, string $typed, Kit $of): array => [
            TypedReading::read($parameter, $typed, null, $of)->interval->low,
            TypedReading::read($parameter, $typed, null, $of)->interval->high,
        ];
        self::assertEqualsWithDelta([1.195, 1.205], $ends(Parameter::Ammonia, '1.2', new Kit([], 0.01, null, 3)), 1e-9);
        self::assertEqualsWithDelta([2.995, 200], $ends(Parameter::Ammonia, '3', new Kit([], 0.01, null, 3)), 1e-9);
        self::assertEqualsWithDelta(
            [Parameter::Ph->possible()[0], 6.5],
            $ends(Parameter::Ph, '6.2', new Kit([6.2, 6.8, 7.2])),
            1e-9,
        );
        $this->expectException(UnreadableReading::class);
        TypedReading::read(Parameter::Ph, '7x2', null);
    }

    public function test_what_is_over_or_under_a_kit_is_a_reading_too(): void
    {
        $over = TypedReading::read(Parameter::Ammonia, '>8', 'mg_l_n');
        self::assertEqualsWithDelta([8, 8, 200], [$over->value, $over->interval->low, $over->interval->high], 1e-12);
        $under = TypedReading::read(Parameter::Nitrite, '< 0,1', 'mg_l_n');
        self::assertEqualsWithDelta(
            [0.05, 0, 0.1],
            [$under->value, $under->interval->low, $under->interval->high],
            1e-12,
        );
    }

    public function test_tests_are_due_by_what_a_system_is_for_and_how_it_stands(): void
    {
        self::assertSame(
            ['start', 'incident', 'quarantine', 'routine'],
            [
                TestSchedule::context('start', State::Emergency),
                TestSchedule::context('holding', State::Act),
                TestSchedule::context('fry', State::Watch),
                TestSchedule::context('display', null),
            ],
        );
        $own = $this->tests()->hours('routine', null, ['no3_n_mg_l' => 168.0, 'ph' => null]);
        self::assertSame([168.0, false], [$own['no3_n_mg_l'], isset($own['ph'])]);
        self::assertSame(
            ['done', 'due', 'late', 'due'],
            [
                TestSchedule::stands(10, 12),
                TestSchedule::stands(13, 12),
                TestSchedule::stands(19, 12),
                TestSchedule::stands(null, 12),
            ],
        );
    }

    /** By the water, not by the calendar: now and four weeks ago, °C. */
    public function test_the_season_of_the_water_changes_what_is_tested(): void
    {
        $every = fn(?float $now, ?float $before, string $context, string $of): ?float => $this->tests()->hours(
            $context,
            $this->tests()->season($now, $before),
        )[$of] ?? null;
        self::assertSame(
            [168.0, null],
            [$every(null, null, 'routine', 'tan_mg_l'), $every(null, null, 'routine', 'do_mg_l')],
            'nobody knows how warm it is',
        );
        self::assertSame(336.0, $every(5, 9, 'routine', 'tan_mg_l'), 'winter');
        self::assertSame(84.0, $every(12, 7.5, 'routine', 'tan_mg_l'), 'spring');
        self::assertSame(168.0, $every(12, 16, 'routine', 'tan_mg_l'), 'autumn');
        self::assertSame(168.0, $every(12, null, 'routine', 'tan_mg_l'), 'nobody knows whether it warms');
        self::assertSame(
            [168.0, 72.0],
            [$every(22, 15, 'routine', 'do_mg_l'), $every(26, 24, 'routine', 'do_mg_l')],
            'summer',
        );
        self::assertSame(
            [12.0, 12.0],
            [$every(5, 9, 'start', 'tan_mg_l'), $every(26, 24, 'incident', 'do_mg_l')],
            'a start and an incident are tested as ever',
        );
    }

    public function test_in_warm_water_oxygen_counts_at_dawn_unless_it_is_read_more_often_than_daily(): void
    {
        $warm = $this->tests()->season(22, 22);
        self::assertTrue($warm?->atDawn('do_mg_l', 168));
        self::assertFalse($warm?->atDawn('do_mg_l', 12));
        self::assertFalse($warm?->atDawn('tan_mg_l', 168));
        self::assertFalse($this->tests()->season(12, 8)?->atDawn('do_mg_l', 168));
    }

    #[TestWith([11.0, 8.0, true])]
    #[TestWith([10.1, 7.1, true])]
    #[TestWith([11.0, 8.1, false])]
    #[TestWith([8.0, 5.0, true])]
    #[TestWith([7.9, 4.0, false])]
    #[TestWith([19.9, 16.0, true])]
    #[TestWith([20.0, 16.0, false])]
    #[TestWith([11.0, null, false])]
    public function test_water_warms_up_by_three_degrees_in_a_month(float $now, ?float $before, bool $warms): void
    {
        self::assertSame($warms, $this->tests()->season($now, $before)?->id === 'warming');
    }

    private function tests(): TestSchedule
    {
        return Library::shipped()->testSchedule();
    }

    public function test_what_is_left_open_is_acted_on_past_its_plan_and_an_emergency_past_what_is_safe(): void
    {
        $states = static fn(?float $safe, ?float $planned): array => array_map(
            static fn(int $minutes): string => OpenTimer::of($safe, $planned)->state($minutes)->value,
            [5, 30, 59, 61],
        );
        self::assertSame(['watch', 'act', 'act', 'emergency'], $states(60, 20));
        self::assertSame(['watch', 'act', 'act', 'emergency'], $states(60, null), 'half of what is safe');
        self::assertSame(['watch', 'watch', 'watch', 'emergency'], $states(60, 90), 'a plan beyond what is safe');
        self::assertSame(['watch', 'act', 'act', 'act'], $states(null, 20));
        self::assertSame(['watch', 'watch', 'watch', 'watch'], $states(null, null));
    }

    public function test_a_reading_that_is_far_off_or_hardly_possible_is_asked_about(): void
    {
        $read = static fn(array $typed): array => array_map(
            static fn(Parameter $parameter) => TypedReading::read($parameter, $typed[$parameter->value], null),
            array_column(
                array_map(static fn(string $key): array => [$key, Parameter::from($key)], array_keys($typed)),
                1,
                0,
            ),
        );
        self::assertSame(
            [],
            Plausible::ask($read(['ph' => '7.8', 'alkalinity_mg_l' => '6']), $read(['ph' => '7.6']), null),
        );
        self::assertStringContainsString(
            '7.4',
            Plausible::ask($read(['ph' => '8.6']), $read(['ph' => '7.4']), null)['ph']->text,
        );
        self::assertArrayHasKey(
            'no2_n_mg_l',
            Plausible::ask($read(['no2_n_mg_l' => '>2', 'tan_mg_l' => '0', 'no3_n_mg_l' => '0']), [], null),
        );
        // Nitrite is asked about from 1 mg/L on where there is neither ammonia before it nor nitrate after.
        foreach (
            [['0.99', '0', '0', 0], ['1', '0', '0', 1], ['1', '0.05', '0', 0], ['1', '0', '3', 0]]
            as [$n, $a, $o, $asks]
        ) {
            $alone = Plausible::ask($read(['no2_n_mg_l' => $n, 'tan_mg_l' => $a, 'no3_n_mg_l' => $o]), [], null);
            self::assertCount($asks, $alone, "{$n} {$a} {$o}");
        }
        self::assertArrayHasKey('do_mg_l', Plausible::ask($read(['do_mg_l' => '16']), [], 175.0));
        self::assertArrayHasKey(
            'alkalinity_mg_l',
            Plausible::ask($read(['alkalinity_mg_l' => '14', 'hardness_mg_l' => '3']), [], null),
        );
        self::assertArrayHasKey('ph', Plausible::ask($read(['ph' => '6.2', 'alkalinity_mg_l' => '9']), [], null));
    }
}
