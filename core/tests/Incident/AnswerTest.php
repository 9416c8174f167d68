<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Incident\Answer;
use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Incident\Situation;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What to do about a bad reading. Common practice, no source, where none is named; amounts worked by hand. */
final class AnswerTest extends TestCase
{
    use Calculations;

    private const USUAL = ['bind' => true, 'bindFirst' => false, 'feedShare' => 0.5, 'feedDays' => 0.0, 'salt' => true];

    /**
     * @param  array<string, float>  $water
     * @param  array<string, State>  $states
     */
    private function in(array $water, array $states, array $more = []): Situation
    {
        $has = [
            'source' => [
                'tan_mg_l' => 0.0,
                'no2_n_mg_l' => 0.0,
                'no3_n_mg_l' => 2.0,
                'alkalinity_mg_l' => 120.0,
                'chlorine_mg_l' => 0.0,
            ],
            'unknown' => [],
            'zeoliteIn' => false,
            'fragile' => false,
            'treatment' => null,
            'follows' => [],
            'binder' => ['label_ml' => 20.0, 'label_treats_l' => 400.0, 'label_binds_mg_l' => 1.0],
            ...$more,
        ];

        return new Situation(
            volumeL: 10000.0,
            water: array_diff_key(
                ['ph' => 7.6, 'temp_c' => 20.0, 'do_mg_l' => 8.0, ...$water],
                array_flip($has['unknown']),
            ),
            states: $states,
            source: $has['source'],
            chloramine: false,
            tanGD: 6.0,
            feedGD: 200.0,
            fish: true,
            fragile: $has['fragile'],
            zeoliteIn: $has['zeoliteIn'],
            tanLimit: 0.25,
            no2Limit: 0.1,
            no3Limit: 5.65,
            doLimit: 6.0,
            binder: $has['binder'],
            conditioner: null,
            follows: [...self::USUAL, ...$has['follows']],
            treatment: $has['treatment'],
        );
    }

    /** @param  list<Sign>  $seen */
    private function told(Situation $now, array $seen = []): string
    {
        return implode(
            ' | ',
            array_map(
                static fn(AnswerStep $step): string => "{$step->do->code}: {$step->do->text} {$step->why?->text}",
                Answer::to($now, $seen)->steps,
            ),
        );
    }

    /** @param  list<Sign>  $seen */
    private function amount(Situation $now, string $about, array $seen = []): ?float
    {
        foreach (Answer::to($now, $seen)->steps as $step) {
            if ($step->do->code === "incident.{$about}") {
                return $step->amount['value'] ?? null;
            }
        }

        return null;
    }

    public function test_good_water_and_nothing_seen_asks_for_nothing(): void
    {
        $answer = Answer::to($this->in(['tan_mg_l' => 0.1], ['tan_mg_l' => State::Watch]), []);
        self::assertSame([[], [], []], [$answer->causes, $answer->steps, $answer->tests]);
    }

    public function test_what_kills_first_is_answered_first(): void
    {
        $worst = [
            'do_mg_l' => State::Emergency,
            'tan_mg_l' => State::Act,
            'no2_n_mg_l' => State::Act,
            'no3_n_mg_l' => State::Act,
            'alkalinity_mg_l' => State::Act,
        ];
        $answer = Answer::to(
            $this->in(
                ['do_mg_l' => 2.5, 'tan_mg_l' => 1.2, 'no2_n_mg_l' => 0.6, 'no3_n_mg_l' => 15, 'alkalinity_mg_l' => 40],
                $worst,
            ),
            [Sign::Ulcers, Sign::AfterFill],
        );
        self::assertSame(
            [
                Cause::Oxygen,
                Cause::Chlorine,
                Cause::Ammonia,
                Cause::Nitrite,
                Cause::Acid,
                Cause::Nitrate,
                Cause::Sickness,
            ],
            $answer->causes,
        );
        self::assertSame('incident.oxygen_air', $answer->steps[0]->do->code);
        self::assertSame('incident.sickness_water_first', $answer->steps[count($answer->steps) - 3]->do->code);
    }

    /**
     * To 0.25 from 1 mg/L with clean water: three quarters; half a day at most, so two days, and 0.5 mg/L are left to
     * bind today.
     */
    public function test_ordinary_ammonia_is_changed_by_half_a_day_and_what_is_left_is_bound(): void
    {
        $now = $this->in(['tan_mg_l' => 1.0], ['tan_mg_l' => State::Act]);
        self::assertStringContainsString(
            'Change 5,000 L (50 %) each day for 2 days. This brings ammonia to 0.5 mg/L.',
            $this->told($now),
        );
        self::assertEqualsWithDelta(
            (0.5 * 20 * 10000) / 400,
            $this->amount($now, 'ammonia_binder'),
            1e-6,
            'one dose of the label binds 1 mg/L',
        );
        // (0.5 − 0.25) mg/L of 10,000 L are 2.5 g, held by 1.5 mg a gram; what the fish add is the filter's.
        self::assertGreaterThanOrEqual(2500 / 1.5, $this->amount($now, 'ammonia_zeolite'));
        self::assertStringContainsString('Feed 50 % (100 g a day)', $this->told($now));
        self::assertStringContainsString(
            'Change 3,750 L (38 %) today. This brings ammonia to 0.25',
            $this->told($this->in(['tan_mg_l' => 0.4], ['tan_mg_l' => State::Act])),
        );
    }

    /**
     * From 2 mg/L on the water goes first: 90 to 95 %. pH 8.6 at 1.5 is not ordinary either: the un-ionised part
     * decides.
     */
    public function test_no_change_of_a_day_is_more_than_nineteen_twentieths_however_bad_it_is(): void
    {
        self::assertMatchesRegularExpression(
            '/^incident.ammonia_change_each_day: Change 9,500 L \(95 %\) each day for 2 days\./m',
            $this->told($this->in(['tan_mg_l' => 20.0], ['tan_mg_l' => State::Emergency])),
        );
    }

    public function test_severe_ammonia_is_changed_out_before_anything_is_bound(): void
    {
        foreach (
            [
                $this->in(['tan_mg_l' => 4.0], ['tan_mg_l' => State::Emergency]),
                $this->in(
                    ['tan_mg_l' => 1.5, 'ph' => 8.6, 'temp_c' => 25.0],
                    ['tan_mg_l' => State::Act, 'nh3_n_mg_l' => State::Emergency],
                ),
            ]
            as $now
        ) {
            self::assertMatchesRegularExpression(
                '/^incident.ammonia_change_once: Change 9,[0-5]\d\d L \(9[0-5] %\) today\. Binder and resin/',
                $this->told($now),
            );
            self::assertStringContainsString('incident.ammonia_no_feed: Do not feed for a week', $this->told($now));
            self::assertStringContainsString('incident.ammonia_new_start', $this->told($now));
        }
        self::assertStringContainsString(
            'incident.ammonia_dead_filter_first',
            $this->told($this->in(['tan_mg_l' => 4.0], ['tan_mg_l' => State::Emergency]), [Sign::PumpStopped]),
        );
        self::assertStringContainsString(
            'incident.ammonia_feed_next_to_nothing',
            $this->told($this->in(['tan_mg_l' => 4.0], ['tan_mg_l' => State::Emergency], ['fragile' => true])),
        );
    }

    public function test_the_school_decides_between_binding_and_diluting_and_what_is_fed(): void
    {
        $of = fn(array $follows): string => $this->told(
            $this->in(['tan_mg_l' => 1.0], ['tan_mg_l' => State::Act], ['follows' => $follows]),
        );
        self::assertStringNotContainsString('incident.ammonia_binder', $of(['bind' => false]));
        self::assertStringStartsWith('incident.ammonia_binder_first:', $of(['bindFirst' => true]));
        // All 1 mg/L that stands then, and not what the change leaves of it.
        self::assertEqualsWithDelta(
            (1.0 * 20 * 10000) / 400,
            $this->amount(
                $this->in(['tan_mg_l' => 1.0], ['tan_mg_l' => State::Act], ['follows' => ['bindFirst' => true]]),
                'ammonia_binder_first',
            ),
            1e-6,
        );
        self::assertStringContainsString('Change 2,500 L (25 %)', $of(['bindFirst' => true]));
        self::assertStringContainsString('Do not feed for a day, then', $of(['feedShare' => 0.0, 'feedDays' => 1.0]));
    }

    public function test_a_treatment_in_the_water_keeps_zeolite_out_and_is_washed_out_with_the_change(): void
    {
        $told = $this->told(
            $this->in(['tan_mg_l' => 1.0], ['tan_mg_l' => State::Act], ['treatment' => 'praziquantel']),
        );
        self::assertStringContainsString(
            'incident.ammonia_no_zeolite_with_treatment: Do not use zeolite while praziquantel',
            $told,
        );
        self::assertStringContainsString('removes as much of the praziquantel', $told);
        self::assertNull(
            $this->amount(
                $this->in(['tan_mg_l' => 1.0], ['tan_mg_l' => State::Act], ['treatment' => 'praziquantel']),
                'ammonia_zeolite',
            ),
        );
    }

    public function test_water_that_is_no_better_is_not_changed_with(): void
    {
        $foul = $this->in(
            ['tan_mg_l' => 1.0, 'no3_n_mg_l' => 12],
            ['tan_mg_l' => State::Act, 'no3_n_mg_l' => State::Act],
            ['source' => ['tan_mg_l' => 0.3, 'no3_n_mg_l' => 9.0]],
        );
        self::assertStringContainsString(
            'incident.ammonia_no_change_with_this_water: Do not change with this water: it has 0.3 mg/L',
            $this->told($foul),
        );
        self::assertStringContainsString(
            'incident.nitrate_water_holds_it: This water has 40 mg/L itself',
            $this->told($foul),
        );
    }

    /**
     * SRAC 462, from memory: ten of chloride to one of nitrite. 0.8 mg/L halved leaves 0.4: 4 mg/L of chloride, 6.59
     * of salt.
     */
    public function test_nitrite_is_changed_and_shielded_with_salt_unless_zeolite_is_in(): void
    {
        $now = fn(array $more = []): Situation => $this->in(['no2_n_mg_l' => 0.8], ['no2_n_mg_l' => State::Act], $more);
        self::assertStringContainsString('Change 5,000 L (50 %) today, and each day', $this->told($now()));
        self::assertEqualsWithDelta((4 / 0.6066) * 10, $this->amount($now(), 'nitrite_salt'), 0.1);
        self::assertStringContainsString(
            'Change 3,000 L (30 %)',
            $this->told($this->in(['no2_n_mg_l' => 0.13], ['no2_n_mg_l' => State::Act])),
            'a little of it is changed by a third all the same',
        );
        self::assertNull($this->amount($now(['zeoliteIn' => true]), 'nitrite_salt'));
        self::assertStringContainsString(
            'incident.nitrite_no_salt_with_zeolite',
            $this->told($now(['zeoliteIn' => true])),
        );
        self::assertStringNotContainsString('salt', $this->told($now(['follows' => ['salt' => false]])));
    }

    public function test_one_change_answers_for_ammonia_nitrite_and_nitrate_together(): void
    {
        $now = $this->in(
            ['tan_mg_l' => 3.0, 'no2_n_mg_l' => 1.0, 'no3_n_mg_l' => 22.0],
            ['tan_mg_l' => State::Emergency, 'no2_n_mg_l' => State::Act, 'no3_n_mg_l' => State::Act],
        );
        self::assertSame(1, substr_count($this->told($now), 'Change '));
        // 92 % out: 0.083 of nitrite and 2 + 20 × 0.083 of nitrate are left.
        self::assertStringContainsString('brings nitrite to 0.083 mg/L', $this->told($now));
        self::assertStringContainsString('brings nitrate to 16 mg/L', $this->told($now));
        self::assertStringContainsString('the daily limit for nitrate gives way', $this->told($now));
        self::assertSame(1, substr_count($this->told($now), 'ot feed'));
    }

    public function test_no_plan_orders_zeolite_and_salt_and_feed_is_said_once(): void
    {
        $now = $this->in(
            ['tan_mg_l' => 1.0, 'no2_n_mg_l' => 0.8, 'do_mg_l' => 4.0],
            ['tan_mg_l' => State::Act, 'no2_n_mg_l' => State::Act, 'do_mg_l' => State::Act],
        );
        $codes = array_map(static fn(AnswerStep $step): string => $step->do->code, Answer::to($now, [])->steps);
        self::assertContains('incident.nitrite_salt', $codes);
        self::assertContains('incident.ammonia_no_zeolite_salt_follows', $codes);
        self::assertNotContains('incident.ammonia_zeolite', $codes);
        $fed = array_filter($codes, static fn(string $code): bool => preg_match('/feed/', $code) === 1);
        self::assertCount(1, $fed);
    }

    public function test_where_nitrite_is_the_emergency_air_and_salt_come_before_a_large_change(): void
    {
        $codes = fn(State $state): array => array_map(
            static fn(AnswerStep $step): string => $step->do->code,
            Answer::to($this->in(['no2_n_mg_l' => 3.0], ['no2_n_mg_l' => $state]), [])->steps,
        );
        self::assertSame(
            ['incident.nitrite_air', 'incident.nitrite_salt', 'incident.nitrite_change'],
            array_slice($codes(State::Emergency), 0, 3),
        );
        self::assertSame('incident.nitrite_change', $codes(State::Act)[0]);
        // Sized to all that stands when it goes in: 3 mg/L ask for 30 of chloride, 49.5 of salt.
        self::assertEqualsWithDelta(
            (30 / 0.6066) * 10,
            $this->amount($this->in(['no2_n_mg_l' => 3.0], ['no2_n_mg_l' => State::Emergency]), 'nitrite_salt'),
            1,
        );
    }

    public function test_air_and_salt_go_before_the_change_that_ammonia_asks_for_where_nitrite_is_the_emergency(): void
    {
        $answer = Answer::to(
            $this->in(
                ['tan_mg_l' => 1.2, 'no2_n_mg_l' => 1.5],
                ['tan_mg_l' => State::Act, 'no2_n_mg_l' => State::Emergency],
            ),
            [],
        );
        $codes = array_map(static fn(AnswerStep $step): string => $step->do->code, $answer->steps);
        self::assertSame([Cause::Nitrite, Cause::Ammonia], $answer->causes);
        self::assertSame(
            ['incident.nitrite_air', 'incident.nitrite_salt', 'incident.nitrite_change_follows'],
            array_slice($codes, 0, 3),
        );
        self::assertCount(1, preg_grep('/_change_(once|each_day)$/', $codes));
        $severe = $this->in(
            ['tan_mg_l' => 4.0, 'no2_n_mg_l' => 1.5],
            ['tan_mg_l' => State::Emergency, 'no2_n_mg_l' => State::Emergency],
        );
        self::assertSame(Cause::Ammonia, Answer::to($severe, [])->causes[0]);
    }

    public function test_water_too_cold_is_not_changed_with_as_it_is_and_what_stands_is_bound(): void
    {
        $cold = $this->in(
            ['tan_mg_l' => 3.0, 'temp_c' => 24.0],
            ['tan_mg_l' => State::Emergency],
            ['source' => ['tan_mg_l' => 0.0, 'temp_c' => 7.0]],
        );
        self::assertStringContainsString(
            'incident.change_too_cold: Do not use this water as it is: it is 17',
            $this->told($cold),
        );
        self::assertStringNotContainsString('incident.ammonia_change', $this->told($cold));
        self::assertEqualsWithDelta((3 * 20 * 10000) / 400, $this->amount($cold, 'ammonia_binder'), 1e-6);
    }

    public function test_a_change_that_burns_is_bound_before_and_a_buffer_goes_by_what_the_change_leaves(): void
    {
        $source = ['tan_mg_l' => 0.0, 'ph' => 8.2, 'alkalinity_mg_l' => 200.0, 'temp_c' => 20.0];
        $burning = $this->in(
            ['tan_mg_l' => 1.0, 'ph' => 7.0, 'alkalinity_mg_l' => 40],
            ['tan_mg_l' => State::Act, 'alkalinity_mg_l' => State::Act],
            ['source' => $source],
        );
        $codes = array_map(static fn(AnswerStep $step): string => $step->do->code, Answer::to($burning, [])->steps);
        self::assertLessThan(
            array_search('incident.ammonia_change_each_day', $codes, true),
            array_search('incident.ammonia_binder_first', $codes, true),
        );
        // Half of 40 and half of 200 are 120 mg/L: no buffer on top of that.
        self::assertContains('incident.acid_changed_above', $codes);
        self::assertNotContains('incident.acid_bicarbonate', $codes);
    }

    public function test_every_change_is_told_what_takes_the_chlorine_out_of_its_water(): void
    {
        $of = fn(array $source): array => array_map(
            static fn(AnswerStep $step): string => $step->do->code,
            Answer::to($this->in(['no2_n_mg_l' => 0.8], ['no2_n_mg_l' => State::Act], ['source' => $source]), [])
                ->steps,
        );
        self::assertSame(
            ['incident.new_water_thiosulfate', 'incident.nitrite_change'],
            array_slice($of(['no2_n_mg_l' => 0.0, 'chlorine_mg_l' => 0.5]), 0, 2),
        );
        self::assertSame('incident.new_water_thiosulfate', $of(['no2_n_mg_l' => 0.0])[0], 'never tested is not none');
        self::assertSame('incident.nitrite_change', $of(['no2_n_mg_l' => 0.0, 'chlorine_mg_l' => 0.0])[0]);
        // Half of 10,000 L at 0.5 mg/L: 2.5 g of chlorine, 7.0 g a gram.
        $now = $this->in(
            ['no2_n_mg_l' => 0.8],
            ['no2_n_mg_l' => State::Act],
            ['source' => ['no2_n_mg_l' => 0.0, 'chlorine_mg_l' => 0.5]],
        );
        self::assertEqualsWithDelta(17.5, $this->amount($now, 'new_water_thiosulfate'), 0.05);
    }

    /**
     * Mixed closed by its carbon: 6.4 at KH 20 and 7.6 at KH 40, nine tenths of it, come to near the new water's pH.
     */
    public function test_what_comes_after_a_change_goes_by_the_ph_it_leaves(): void
    {
        $after = $this->in(
            ['ph' => 6.4, 'alkalinity_mg_l' => 20, 'tan_mg_l' => 3.0],
            [],
            [
                'source' => ['ph' => 7.6, 'alkalinity_mg_l' => 40.0, 'temp_c' => 10.0, 'tan_mg_l' => 0.0],
            ],
        )->after(90.0);
        self::assertEqualsWithDelta(38.0, $after->reading('alkalinity_mg_l'), 1e-9);
        self::assertEqualsWithDelta(11.0, $after->reading('temp_c'), 1e-9);
        self::assertEqualsWithDelta(7.42, $after->reading('ph'), 0.06);
    }

    /** No more than 40 mg/L of nitrate a day: from 150 mg/L with water of 8.9, 28 % a day. */
    public function test_nitrate_comes_down_in_steps_that_do_not_shock(): void
    {
        $told = $this->told($this->in(['no3_n_mg_l' => 33.9], ['no3_n_mg_l' => State::Emergency]));
        self::assertStringContainsString('incident.nitrate_change_each_day: Change 2,830 L (28 %)', $told);
        // As exchange.plan has it: 33.9 → 24.9 → 15.8 → 8.9 → 5.65, and what the fish make meanwhile.
        self::assertStringContainsString('for 5 days', $told);
    }

    public function test_a_buffer_waits_for_ammonia_that_would_burn_at_a_higher_ph(): void
    {
        $states = ['alkalinity_mg_l' => State::Act, 'ph' => State::Act];
        $harmless = $this->in(['tan_mg_l' => 0.1, 'ph' => 6.3, 'alkalinity_mg_l' => 20], $states);
        // 35.7 mg/L of 10,000 L as bicarbonate are 599 g; from 20 mg/L that doubles pH's buffer twice over, so in two.
        self::assertEqualsWithDelta((35.7 * 1.6787 * 10) / 2, $this->amount($harmless, 'acid_bicarbonate'), 1);
        self::assertStringNotContainsString('incident.acid_ammonia_first', $this->told($harmless));
        $burning = $this->told($this->in(['tan_mg_l' => 1.5, 'ph' => 6.3, 'alkalinity_mg_l' => 20], $states));
        self::assertStringContainsString(
            'incident.acid_ammonia_first: Change water for the ammonia first: at pH 8.2, 0.0',
            $burning,
        );
        // Nobody measured how warm it is: reckoned at 20 °C, and said so.
        $unmeasured = $this->in(['tan_mg_l' => 1.5, 'ph' => 6.3, 'alkalinity_mg_l' => 20], $states, [
            'unknown' => ['temp_c'],
        ]);
        self::assertStringContainsString('incident.acid_ammonia_first_assumed', $this->told($unmeasured));
    }

    public function test_signs_of_too_little_oxygen_where_there_is_plenty_come_of_something_else(): void
    {
        $causes = fn(array $water, array $states, Sign ...$seen): array => array_map(
            static fn(Cause $cause): string => $cause->value,
            Answer::to($this->in($water, $states), $seen)->causes,
        );
        self::assertSame(['chlorine', 'sickness'], $causes(['do_mg_l' => 8.5], [], Sign::AtReturns, Sign::AfterFill));
        self::assertStringContainsString(
            'incident.sickness_oxygen_reads_well: Oxygen reads 8.5 mg/L',
            $this->told($this->in(['do_mg_l' => 8.5], []), [Sign::Gasping]),
        );
        self::assertSame(['oxygen'], $causes(['do_mg_l' => 4], ['do_mg_l' => State::Act], Sign::AtReturns));
        self::assertSame(
            ['oxygen', 'stopped_filter'],
            $causes(['do_mg_l' => 8.5], [], Sign::PumpStopped),
            'it will fall',
        );
        self::assertSame(['sickness'], $causes([], [], Sign::Flashing));
        self::assertSame(['bloom'], $causes([], [], Sign::GreenWater));
        $unknown = new Situation(
            volumeL: 1000,
            water: [],
            states: [],
            source: [],
            chloramine: false,
            tanGD: 0,
            feedGD: 0,
            fish: true,
            fragile: false,
            zeoliteIn: false,
            tanLimit: 0.25,
            no2Limit: 0.1,
            no3Limit: 5.65,
            doLimit: 6,
            binder: null,
            conditioner: null,
            follows: self::USUAL,
        );
        self::assertSame(
            ['Oxygen', 'Ammonia', 'Nitrite', 'pH', 'Temperature', 'KH', 'Nitrate'],
            Answer::to($unknown, [Sign::Gasping])->tests,
        );
    }

    public function test_every_sign_and_every_cause_has_words_and_something_to_do(): void
    {
        foreach (Sign::cases() as $sign) {
            self::assertNotSame('', $sign->says());
            $unknown = new Situation(
                volumeL: 5000,
                water: [],
                states: [],
                source: [],
                chloramine: true,
                tanGD: 2,
                feedGD: 80,
                fish: true,
                fragile: false,
                zeoliteIn: false,
                tanLimit: 0.25,
                no2Limit: 0.1,
                no3Limit: 5.65,
                doLimit: 6,
                binder: null,
                conditioner: null,
                follows: self::USUAL,
            );
            $answer = Answer::to($unknown, [$sign]);
            self::assertSame(
                [],
                array_diff(array_column($sign->pointsTo(), 'value'), array_column($answer->causes, 'value')),
                $sign->value,
            );
            foreach ($answer->steps as $step) {
                self::assertMatchesRegularExpression('/[.:]$/', $step->do->text, $sign->value);
            }
        }
        self::assertSame(
            count(Cause::cases()),
            count(array_unique(array_map(static fn(Cause $cause): string => $cause->name(), Cause::cases()))),
        );
    }

    /** Thiosulfate 7.0 g to a gram of chlorine, as exchange.dechlorinate has it: 0.6 mg/L in 10,000 L are 6 g. */
    public function test_chlorine_is_met_for_the_whole_water_by_reading_or_else_by_what_the_tap_holds(): void
    {
        $tap = ['source' => ['chlorine_mg_l' => 0.6]];
        self::assertEqualsWithDelta(
            42,
            $this->amount($this->in([], [], $tap), 'chlorine_conditioner', [Sign::AfterFill]),
            0.1,
        );
        self::assertEqualsWithDelta(
            14,
            $this->amount(
                $this->in(['chlorine_mg_l' => 0.2], ['chlorine_mg_l' => State::Act], $tap),
                'chlorine_conditioner',
            ),
            0.1,
        );
        self::assertStringContainsString(
            'incident.chlorine_conditioner_by_label',
            $this->told($this->in([], []), [Sign::AfterFill]),
        );
        self::assertEqualsWithDelta(
            4.2,
            $this->amount($this->in(['do_mg_l' => 3.5], ['do_mg_l' => State::Emergency], $tap), 'oxygen_spray'),
            0.1,
            'for each 1,000 L hosed',
        );
        self::assertEqualsWithDelta(
            7.0,
            $this->amount(
                $this->in(['do_mg_l' => 3.5], ['do_mg_l' => State::Emergency], ['source' => []]),
                'oxygen_spray',
            ),
            0.1,
            'never tested, it is reckoned as 1 mg/L',
        );
        self::assertNull(
            $this->amount($this->in(['do_mg_l' => 3.5], ['do_mg_l' => State::Emergency]), 'oxygen_spray'),
            'tested and free of chlorine',
        );
        self::assertStringContainsString(
            'incident.oxygen_peroxide',
            $this->told($this->in(['do_mg_l' => 2.5], ['do_mg_l' => State::Emergency])),
        );
        self::assertStringNotContainsString(
            'incident.oxygen_peroxide',
            $this->told($this->in(['do_mg_l' => 4.5], ['do_mg_l' => State::Act])),
        );
    }

    public function test_heat_is_shaded_and_cooled_slowly_and_cold_water_is_no_heat(): void
    {
        self::assertStringContainsString(
            'no more than 2 °C in a day',
            $this->told($this->in(['temp_c' => 31], ['temp_c' => State::Act])),
        );
        $cold = $this->told($this->in(['temp_c' => 1.5], ['temp_c' => State::Act]));
        self::assertStringContainsString('incident.cold_no_feed', $cold);
        self::assertStringNotContainsString('incident.heat_shade', $cold);
        self::assertStringContainsString(
            'incident.shock_between',
            $this->told($this->in(['no3_n_mg_l' => 9.0], []), [Sign::NewFishDying]),
        );
    }

    public function test_the_calculator_judges_by_the_limits_of_the_life_stage(): void
    {
        $causes = fn(array $more): array => $this->calculate('incident.answer', [
            'volume_l' => 1000,
            'now' => ['tan_mg_l' => 0.35, 'ph' => 7.2, 'temp_c' => 18],
            ...$more,
        ])->figures['causes'];
        self::assertSame([], $causes([]));
        self::assertSame(['ammonia'], $causes(['life_stage' => 'fry']));
        self::assertSame(
            ['ammonia'],
            $causes(['now' => ['tan_mg_l' => 0.45, 'ph' => 8.8, 'temp_c' => 26]]),
            'warm and alkaline, the same burns',
        );
        self::assertSame(
            ['seen.0'],
            array_keys($this->errors('incident.answer', ['volume_l' => 1000, 'seen' => ['ghosts']])),
        );
    }

    /** Two degrees a change: from a quarter of the water on it is changed as it is, below that it is warmed first. */
    #[TestWith([14.0, 'incident.ammonia_change_each_day'])]
    #[TestWith([12.1, 'incident.ammonia_change_each_day'])]
    #[TestWith([11.9, 'incident.change_too_cold'])]
    public function test_new_water_that_is_too_cold_for_a_quarter_of_it_is_not_changed_with(
        float $sourceC,
        string $code,
    ): void {
        $codes = array_column(
            $this->calculate('incident.answer', [
                'volume_l' => 10000,
                'now' => ['tan_mg_l' => 1, 'ph' => 7.2, 'temp_c' => 20],
                'source' => ['tan_mg_l' => 0, 'temp_c' => $sourceC],
            ])->figures['steps'],
            'code',
        );
        self::assertContains($code, $codes);
        self::assertCount(1, array_intersect(['incident.ammonia_change_each_day', 'incident.change_too_cold'], $codes));
    }

    public function test_cold_water_is_warmed_by_two_degrees_a_day_and_no_more(): void
    {
        $steps = $this->calculate('incident.answer', ['volume_l' => 5000, 'now' => ['temp_c' => 1.5]])->figures[
            'steps'
        ];
        $warm = array_values(
            array_filter($steps, static fn(array $one): bool => $one['code'] === 'incident.cold_warm'),
        );
        self::assertEqualsWithDelta((5000 * 4186 * 2) / 86400, $warm[0]['amount']['value'], 1.0);
    }
}
