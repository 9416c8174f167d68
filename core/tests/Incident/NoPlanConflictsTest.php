<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Incident;

use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Verdict;
use Ironwort\Core\Incident\Answer;
use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Incident\Situation;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

/** Whatever is read, seen and in the water: a plan holds together. Seeded; the whole with FULL=1. */
final class NoPlanConflictsTest extends TestCase
{
    use Calculations;

    private const SAMPLE = 200;

    private const WHOLE = 2000;

    private const RANGES = [
        'tan_mg_l' => [0.0, 5.0],
        'no2_n_mg_l' => [0.0, 4.0],
        'no3_n_mg_l' => [0.0, 60.0],
        'ph' => [5.5, 9.8],
        'temp_c' => [1.0, 34.0],
        'do_mg_l' => [1.0, 16.0],
        'alkalinity_mg_l' => [0.0, 400.0],
        'hardness_mg_l' => [0.0, 600.0],
        'salinity_g_l' => [0.0, 12.0],
        'chlorine_mg_l' => [0.0, 1.0],
    ];

    public function test_no_two_steps_conflict_none_is_empty_and_each_amount_is_its_calculators(): void
    {
        $library = Library::shipped();
        $conflicts = new Conflicts($library->agents());
        $limits = $library->limits();
        $given = $weighed = 0;
        mt_srand(20261129);
        for ($i = 0; $i < (getenv('FULL') === '1' ? self::WHOLE : self::SAMPLE); $i++) {
            $present = self::some(
                ['formalin', 'potassium_permanganate', 'chloramine_t', 'hydrogen_peroxide', 'salt'],
                0.12,
            );
            [$now, $bad] = $this->random($limits, $conflicts, $present);
            $seen = self::some(Sign::cases(), 0.06);
            $answer = Answer::to($now, $seen);
            $told = json_encode([$now->water, $present, array_column($seen, 'value')]);

            self::assertTrue(!$bad || $answer->steps !== [], "nothing to do: {$told}");
            foreach ($answer->causes as $cause) {
                $of = array_filter($answer->steps, static fn(AnswerStep $one): bool => $one->cause === $cause);
                self::assertNotSame([], $of, "{$cause->value} without a step: {$told}");
            }
            $things = array_values(
                array_unique(
                    array_filter(array_map(static fn(AnswerStep $one): ?string => $one->gives(), $answer->steps)),
                ),
            );
            $given += count($things);
            $water = [
                ...$present,
                ...$now->zeoliteIn ? ['zeolite'] : [],
                ...($now->reading('chlorine_mg_l') ?? 0.0) > 0 ? ['chlorine'] : [],
            ];
            foreach ($things as $one) {
                foreach ([...$things, ...$water] as $other) {
                    self::assertTrue(
                        $one === $other || $conflicts->pair($one, $other)->verdict !== Verdict::Refused,
                        "{$one} with {$other}: {$told}",
                    );
                }
            }
            foreach ($answer->steps as $step) {
                if ($step->amount !== null) {
                    $weighed++;
                    self::assertEqualsWithDelta(
                        $this->figure($step->amount['calc'], $step->amount['input'], $step->amount['key']),
                        $step->amount['value'],
                        1e-9 * max(1.0, abs($step->amount['value'])),
                        "{$step->do->code}: {$told}",
                    );
                    self::assertGreaterThan(0, $step->amount['value'], "{$step->do->code}: {$told}");
                }
            }
        }
        self::assertGreaterThan(self::SAMPLE / 2, $given, 'plans that give anything');
        self::assertGreaterThan(self::SAMPLE / 2, $weighed, 'plans that weigh anything');
    }

    /**
     * @param  list<string>  $present
     * @return array{Situation, bool} and whether anything read is to be acted on
     */
    private function random(LimitTable $limits, Conflicts $conflicts, array $present): array
    {
        $water = $states = $sides = $source = [];
        foreach (self::RANGES as $key => [$low, $high]) {
            if (self::share() < 0.75) {
                // Half of it ordinary, the rest anywhere.
                $spread = self::share() < 0.5 ? 0.08 * self::share() : self::share();
                $water[$key] =
                    $key === 'ph' || $key === 'temp_c' || $key === 'do_mg_l'
                        ? $low + ($high - $low) * self::share()
                        : $low + ($high - $low) * $spread;
            }
            if (self::share() < 0.6) {
                $source[$key] = $low + ($high - $low) * 0.4 * self::share();
            }
        }
        if (in_array('salt', $present, true)) {
            $water['salinity_g_l'] = 3.0;
        }
        unset($source['do_mg_l']);
        $bad = false;
        foreach ($water as $key => $value) {
            $verdict = $limits->for('adult', Parameter::from($key))->judge(Interval::between($value, $value));
            $states[$key] = $verdict->state;
            $bad = $bad || $verdict->state->worseThan(State::Watch);
            if ($verdict->side !== null) {
                $sides[$key] = $verdict->side;
            }
        }
        $zeolite = self::share() < 0.2;
        $chlorine = ($water['chlorine_mg_l'] ?? 0.0) > 0 ? ['chlorine'] : [];
        $watch = static fn(Parameter $of): float => $limits->for('adult', $of)->above->watch ?? INF;

        return [
            new Situation(
                volumeL: 200 + 50_000 * self::share(),
                water: $water,
                states: $states,
                source: $source,
                chloramine: self::share() < 0.3,
                tanGD: 20 * self::share(),
                feedGD: 800 * self::share(),
                fish: self::share() < 0.9,
                fragile: self::share() < 0.3,
                zeoliteIn: $zeolite,
                tanLimit: AllowedAmmonia::of($limits, 'adult', $water['ph'] ?? 7.5, $water['temp_c'] ?? 20, 0.0)->tan,
                no2Limit: $watch(Parameter::Nitrite),
                no3Limit: $watch(Parameter::Nitrate),
                doLimit: 6.0,
                binder: self::share() < 0.5
                    ? ['label_ml' => 20.0, 'label_treats_l' => 400.0, 'label_binds_mg_l' => 1.0]
                    : null,
                conditioner: self::share() < 0.5 ? ['label_ml' => 10.0, 'label_treats_l' => 500.0] : null,
                follows: [
                    'bind' => self::share() < 0.8,
                    'bindFirst' => self::share() < 0.3,
                    'feedShare' => 0.5,
                    'feedDays' => 0.0,
                    'salt' => self::share() < 0.8,
                ],
                treatment: array_diff($present, ['salt']) === []
                    ? null
                    : implode(' and ', array_diff($present, ['salt'])),
                biomassKg: 80 * self::share(),
                sides: $sides,
                unionisedLimit: $watch(Parameter::UnionisedAmmonia),
                noChlorine: self::share() < 0.2,
                refuses: $conflicts->refusedIn(AnswerStep::GIVEN, [
                    ...$present,
                    ...$chlorine,
                    ...$zeolite ? ['zeolite'] : [],
                ]),
            ),
            $bad,
        ];
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return list<T>
     */
    private static function some(array $of, float $each): array
    {
        return array_values(array_filter($of, static fn(): bool => self::share() < $each));
    }

    private static function share(): float
    {
        return mt_rand() / mt_getrandmax();
    }
}
