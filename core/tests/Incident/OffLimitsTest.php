<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Incident\Answer;
use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\OffLimits;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Incident\Situation;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Interval;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Every state leads to deeds: whatever is past its line has steps, and what is only watched has a deed too. */
final class OffLimitsTest extends TestCase
{
    /** @param  array<string, float>  $water */
    private static function situation(array $water, string $stage = 'adult'): Situation
    {
        $limits = Library::shipped()->limits();
        $states = $sides = [];
        foreach ($water as $key => $value) {
            $verdict = $limits->for($stage, Parameter::from($key))->judge(Interval::between($value, $value));
            $states[$key] = $verdict->state;
            if ($verdict->side !== null) {
                $sides[$key] = $verdict->side;
            }
        }

        return new Situation(
            volumeL: 5000.0,
            water: $water,
            states: $states,
            source: ['salinity_g_l' => 0.0, 'ph' => 7.5, 'alkalinity_mg_l' => 120.0],
            chloramine: false,
            tanGD: 3.0,
            feedGD: 80.0,
            fish: true,
            fragile: false,
            zeoliteIn: true,
            tanLimit: 0.25,
            no2Limit: 0.1,
            no3Limit: 5.6,
            doLimit: 6.0,
            binder: null,
            conditioner: null,
            follows: ['bind' => true, 'bindFirst' => false, 'feedShare' => 0.5, 'feedDays' => 0.0, 'salt' => true],
            noChlorine: true,
            sides: $sides,
        );
    }

    /** @return list<string> codes of the steps of one cause */
    private static function codes(Answer $answer, Cause $cause): array
    {
        return array_values(
            array_map(
                static fn(AnswerStep $step): string => $step->do->code,
                array_filter($answer->steps, static fn(AnswerStep $step): bool => $step->cause === $cause),
            ),
        );
    }

    #[TestWith(['ph', 9.3, Cause::Alkaline, 'incident.alkaline_test_ammonia'])]
    #[TestWith(['salinity_g_l', 9.0, Cause::Salty, 'incident.salty_change'])]
    #[TestWith(['salinity_g_l', 12.0, Cause::Salty, 'incident.salty_change'])]
    #[TestWith(['co2_mg_l', 50.0, Cause::Gas, 'incident.gas_air'])]
    #[TestWith(['temp_c', 1.5, Cause::Cold, 'incident.cold_no_feed'])]
    #[TestWith(['temp_c', 31.0, Cause::Heat, 'incident.heat_shade'])]
    #[TestWith(['do_sat_pct', 150.0, Cause::Overfull, 'incident.overfull_surface'])]
    #[TestWith(['do_sat_pct', 40.0, Cause::Oxygen, null])]
    #[TestWith(['alkalinity_mg_l', 20.0, Cause::Acid, null])]
    public function test_each_direction_has_its_own_deeds(string $key, float $value, Cause $cause, ?string $first): void
    {
        $answer = Answer::to(self::situation([$key => $value]), []);

        self::assertContains($cause, $answer->causes);
        $codes = self::codes($answer, $cause);
        self::assertNotSame([], $codes);
        if ($first !== null) {
            self::assertSame($first, $codes[0]);
        }
    }

    public function test_nothing_past_act_lacks_steps_and_nothing_watched_lacks_a_deed(): void
    {
        $limits = Library::shipped()->limits();
        foreach (['adult', 'grow_on', 'quarantine', 'fry'] as $stage) {
            foreach ([...Parameter::measured(), ...Parameter::derived()] as $parameter) {
                $line = $limits->for($stage, $parameter);
                foreach ([[$line->above, 1], [$line->below, -1]] as [$bounds, $way]) {
                    if ($bounds === null) {
                        continue;
                    }
                    $key = $parameter->value;
                    $step = $way * 1e-3 * max(1.0, abs($bounds->act));
                    $acts = self::situation([$key => $bounds->act + $step], $stage);
                    self::assertSame(State::Act, $acts->state($key), "{$key} at {$stage}");
                    self::assertNotSame([], Answer::to($acts, [])->steps, "{$key} past act at {$stage}");
                    $watch = self::situation([$key => ($bounds->act + $bounds->watch) / 2], $stage);
                    self::assertArrayHasKey($key, OffLimits::watched($watch), "{$key} watched at {$stage}");
                }
            }
        }
    }

    public function test_every_sign_leads_to_steps_in_good_water_too(): void
    {
        $good = self::situation(['do_mg_l' => 8.0, 'tan_mg_l' => 0.0, 'ph' => 7.5, 'temp_c' => 18.0]);
        foreach (Sign::cases() as $sign) {
            self::assertNotSame([], Answer::to($good, [$sign])->steps, $sign->value);
        }
    }

    public function test_salt_is_changed_down_by_no_more_than_a_gram_a_litre_a_day_and_zeolite_comes_out(): void
    {
        $answer = Answer::to(self::situation(['salinity_g_l' => 9.0]), []);
        $change = array_values(
            array_filter(
                $answer->steps,
                static fn(AnswerStep $step): bool => $step->do->code === 'incident.salty_change',
            ),
        )[0];

        self::assertEqualsWithDelta(100 / 9, $change->changesPct, 0.1, 'a gram of nine');
        self::assertContains('incident.salty_zeolite_out', self::codes($answer, Cause::Salty));
    }

    public function test_a_system_that_was_never_tested_is_told_what_to_test(): void
    {
        self::assertSame('Oxygen', Answer::to(self::situation([]), [])->tests[0] ?? null);
        self::assertSame([], Answer::to(self::situation(['tan_mg_l' => 0.0]), [])->tests, 'it was tested');
    }

    public function test_chlorine_that_trickles_in_is_answered_where_fish_push_into_the_returns(): void
    {
        $still = self::situation(['do_mg_l' => 8.0]);
        self::assertNotContains(Cause::Chlorine, Answer::to($still, [Sign::AtReturns])->causes);
        $runs = new Situation(...[...get_object_vars($still), 'chlorineRuns' => true]);
        self::assertContains(Cause::Chlorine, Answer::to($runs, [Sign::AtReturns])->causes);
    }
}
