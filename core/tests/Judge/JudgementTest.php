<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Judge;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\Derived;
use Ironwort\Core\Judge\NextDeed;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\Sentence;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Judge\TypedReading;
use Ironwort\Core\Judge\UnreadableReading;
use Ironwort\Core\Judge\Verdict;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Measure\TypedNumber;
use Ironwort\Core\Words\Catalogue;
use Ironwort\Core\Words\Message;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Limits are common practice, no source, unless the table names one. */
final class JudgementTest extends TestCase
{
    private function state(string $stage, Parameter $parameter, float $low, float $high): string
    {
        return Library::shipped()
            ->limits()
            ->for($stage, $parameter)
            ->judge(Interval::between($low, $high))->state->value;
    }

    #[TestWith([0.0, 0.25, 'good'])]
    #[TestWith([0.0, 0.3, 'watch'])]
    #[TestWith([0.2, 0.6, 'act'])]
    #[TestWith([1.0, 2.1, 'emergency'])]
    public function test_ammonia_is_judged_by_its_worse_end(float $low, float $high, string $word): void
    {
        self::assertSame($word, $this->state('adult', Parameter::Ammonia, $low, $high));
    }

    public function test_oxygen_and_ph_are_judged_on_their_low_side_and_ph_on_both(): void
    {
        self::assertSame('good', $this->state('adult', Parameter::Oxygen, 7.1, 7.3));
        self::assertSame('act', $this->state('adult', Parameter::Oxygen, 4.9, 5.2));
        self::assertSame('watch', $this->state('adult', Parameter::Ph, 6.9, 7.1));
        self::assertSame('act', $this->state('adult', Parameter::Ph, 9.0, 9.2));
    }

    /** Common practice, no source: ten parts of chloride to one of nitrite nitrogen. */
    public function test_salt_shields_from_nitrite_up_to_what_is_an_emergency_in_any_water(): void
    {
        $word = static fn(float $salt, float $nitrite): string => Library::shipped()
            ->limits()
            ->for('adult', Parameter::Nitrite)
            ->shielded($salt)
            ->judge(Interval::exactly($nitrite))->state->value;
        self::assertSame(['act', 'watch', 'watch'], [$word(0.0, 0.5), $word(0.0083, 0.5), $word(3.0, 0.9)]);
        self::assertSame('act', $word(0.0081, 0.5), 'a little less than ten parts');
        self::assertSame('emergency', $word(3.0, 1.1));
        $ammonia = Library::shipped()->limits()->for('adult', Parameter::Ammonia);
        self::assertSame($ammonia, $ammonia->shielded(3.0));
    }

    public function test_co2_follows_from_ph_and_kh_with_the_spread_of_both(): void
    {
        $reading = static fn(Parameter $p, float $low, float $high): Reading => new Reading(
            $p,
            ($low + $high) / 2,
            Interval::between($low, $high),
        );
        $co2 = Derived::carbonDioxide(
            $reading(Parameter::Ph, 6.95, 7.05),
            $reading(Parameter::Alkalinity, 89.25, 107.1),
            $reading(Parameter::Temperature, 19.5, 20.5),
            0.0,
        );
        // The rule of thumb, 3 dKH 10^(7 - pH), which reads about 15 % low at 20 °C (common practice).
        self::assertEqualsWithDelta((3 * 5.5) / 0.85, $co2->value, 0.6);
        self::assertGreaterThan(1.1 * $co2->value, $co2->interval->high);
        self::assertLessThan(0.9 * $co2->value, $co2->interval->low);
        self::assertSame(
            'watch',
            $this->state('adult', Parameter::CarbonDioxide, $co2->interval->low, $co2->interval->high),
        );
    }

    public function test_fry_are_judged_more_strictly_than_adults(): void
    {
        $nitrate = 15 / 4.4268;
        self::assertSame('good', $this->state('adult', Parameter::Nitrate, $nitrate, $nitrate));
        self::assertSame('watch', $this->state('fry', Parameter::Nitrate, $nitrate, $nitrate));
    }

    /** pH 8.6 at 1.5 mg/L is not ordinary: at 20 °C 13.7 % of it is un-ionised (Emerson 1975). */
    public function test_the_same_ammonia_is_an_emergency_at_high_ph_and_not_at_low(): void
    {
        $burning = fn(string $ph): string => $this->judged('1.5', $ph, '20');
        self::assertSame('emergency', $burning('8.6'));
        self::assertSame('good', $burning('6.8'));
    }

    public function test_a_sentence_says_the_number_the_unit_the_line_passed_and_the_deed(): void
    {
        $typed = TypedNumber::read('1.2');
        $reading = new Reading(Parameter::Nitrite, $typed->value, $typed->interval());
        $verdict = Library::shipped()->limits()->for('adult', Parameter::Nitrite)->judge($reading->interval);
        $deed = Message::of('judge.deed_no2_n_mg_l_above_act')->text;
        self::assertSame("Nitrite 1.2 mg/L as N, over 1. {$deed}", Sentence::of($reading, $verdict));

        $doubtful = TypedReading::read(Parameter::Ammonia, '0.5', null);
        $verdict = Library::shipped()->limits()->for('adult', Parameter::Ammonia)->judge($doubtful->interval);
        self::assertStringStartsWith('Ammonia 0.5 mg/L as N, may be over 0.5. ', Sentence::of($doubtful, $verdict));
        self::assertSame('may be over 0.5', Sentence::passed($doubtful, $verdict));
    }

    /** Every line of the table, watched and acted on, with fish and without, says what to do, as a sentence. */
    public function test_whatever_line_is_passed_a_deed_of_its_own_is_said(): void
    {
        $general = ['judge.deed_watch', 'judge.deed_act'];
        $told = [];
        foreach (Parameter::cases() as $parameter) {
            foreach (['adult', 'grow_on', 'fry', 'quarantine', 'starting'] as $stage) {
                $limits = Library::shipped()->limits()->for($stage, $parameter);
                foreach (array_filter(['above' => $limits->above, 'below' => $limits->below]) as $side => $bounds) {
                    foreach ([State::Watch, State::Act, State::Emergency] as $state) {
                        $verdict = new Verdict($state, $bounds->watch, $side);
                        $deed = NextDeed::of($parameter, $verdict, $stage !== 'starting');
                        self::assertNotNull($deed);
                        self::assertNotContains($deed->code, $general, "{$parameter->value} {$side}");
                        self::assertMatchesRegularExpression('/^[A-Z].*[.]$/', $deed->text);
                        $told[$deed->code] = true;
                    }
                }
            }
        }
        $words = array_filter(
            array_keys(Catalogue::all()),
            static fn(string $code): bool => str_starts_with($code, 'judge.deed_'),
        );
        self::assertEqualsCanonicalizing([...$general, ...array_keys($told)], array_values($words));
        $own = NextDeed::of(Parameter::Silt, new Verdict(State::Act, 5.0, 'above'), true);
        self::assertSame('judge.deed_act', $own?->code);
        self::assertNull(NextDeed::of(Parameter::Silt, new Verdict(State::Good), true));
    }

    public function test_supersaturation_is_noticed_through_the_derived_percent(): void
    {
        $saturation = Derived::oxygenSaturation(
            $this->reading(Parameter::Oxygen, '13'),
            $this->reading(Parameter::Temperature, '24'),
            0,
            0,
        );
        self::assertEqualsWithDelta(154.4, $saturation->value, 0.2); // 8.418 mg/L at 24 °C, Standard Methods 4500-O:I
        self::assertSame(
            'act',
            $this->state('adult', Parameter::OxygenSaturation, $saturation->interval->low, $saturation->interval->high),
        );
    }

    /**
     * Emerson 1975: 3.82 % is un-ionised at pH 8, 20 °C and 28.4 % at pH 9; the limits are 0.25 total and 0.02
     * un-ionised.
     */
    public function test_the_stricter_of_total_and_unionised_ammonia_says_how_much_a_system_may_hold(): void
    {
        $limits = Library::shipped()->limits();
        $mild = AllowedAmmonia::of($limits, 'adult', 7.0, 20);
        self::assertSame([0.25, false], [$mild->tan, $mild->heldByUnionised]);
        $burning = AllowedAmmonia::of($limits, 'adult', 9.0, 20);
        self::assertTrue($burning->heldByUnionised);
        self::assertEqualsWithDelta(0.02 / 0.284, $burning->tan, 3e-4);
        self::assertLessThan($burning->tan, AllowedAmmonia::of($limits, 'fry', 9.0, 20)->tan);
        self::assertLessThan($burning->tan, AllowedAmmonia::of($limits, 'adult', 9.0, 26)->tan);
    }

    /** Steps of ordinary kits: common practice, no source. */
    public function test_a_reading_is_as_uncertain_as_its_last_digit_and_never_more_than_a_kit_step(): void
    {
        $ends = static fn(Parameter $p, string $typed, ?string $unit = null): array => [
            round(TypedReading::read($p, $typed, $unit)->interval->low, 4),
            round(TypedReading::read($p, $typed, $unit)->interval->high, 4),
        ];
        self::assertSame([0.0, 0.125], $ends(Parameter::Ammonia, '0'));
        self::assertSame([0.45, 0.55], $ends(Parameter::Ammonia, '.5'));
        self::assertSame([17.75, 17.8056], $ends(Parameter::Temperature, '64.0', 'f'));
        $this->expectExceptionMessage('pH cannot be 78: it lies between 4 and 11.');
        TypedReading::read(Parameter::Ph, '78', null);
    }

    #[TestWith(['hardness_mg_l', '9 dgh', '9', 'dgh'])]
    #[TestWith(['alkalinity_mg_l', '5dkh', '5', 'dkh'])]
    #[TestWith(['temp_c', '64f', '64', 'f'])]
    #[TestWith(['hardness_mg_l', '9 f', '9', 'f'])]
    #[TestWith(['alkalinity_mg_l', '5 dgh', null, null])]
    #[TestWith(['hardness_mg_l', '5 buckets', null, null])]
    public function test_a_unit_typed_with_a_number_is_read_off_it_where_the_reading_has_such_a_unit(
        string $parameter,
        string $typed,
        ?string $number,
        ?string $unit,
    ): void {
        if ($number === null) {
            $this->expectException(UnreadableReading::class);
        }
        self::assertSame([$number, $unit], TypedReading::withUnit(Parameter::from($parameter), $typed));
    }

    private function judged(string $tan, string $ph, string $temp): string
    {
        $derived = Derived::unionisedAmmonia(
            $this->reading(Parameter::Ammonia, $tan),
            $this->reading(Parameter::Ph, $ph),
            $this->reading(Parameter::Temperature, $temp),
            0,
        );

        return $this->state('adult', Parameter::UnionisedAmmonia, $derived->interval->low, $derived->interval->high);
    }

    private function reading(Parameter $parameter, string $typed): Reading
    {
        $number = TypedNumber::read($typed);

        return new Reading($parameter, $number->value, $number->interval());
    }

    public function test_a_chlorine_test_that_shows_none_asks_for_nothing_and_some_is_heard_at_its_worst(): void
    {
        $limits = Library::shipped()->limits()->for('adult', Parameter::Chlorine);
        $state = static fn(float $value): State => $limits->judge(
            (new Reading(
                Parameter::Chlorine,
                $value,
                Interval::between(max(0.0, $value - 0.05), $value + 0.05),
            ))->heard(),
        )->state;
        self::assertSame(State::Good, $state(0.0));
        self::assertSame(State::Act, $state(0.02));
        self::assertSame(State::Emergency, $state(0.1));
        // Of anything else a test that shows none may miss some.
        $nitrite = new Reading(Parameter::Nitrite, 0.0, Interval::between(0.0, 0.15));
        self::assertSame(0.15, $nitrite->heard()->high);
    }
}
