<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/**
 * What to do about bad readings and what is seen, by the limits of a life stage, in the order in which it is done.
 *
 *     volume_l 10000, now {"tan_mg_l": 3, "ph": 8.2, "temp_c": 20}, source {"tan_mg_l": 0}  →  causes.0 ammonia,
 *       steps.1.code incident.ammonia_change_once
 *
 * @see Answer
 *
 * @source cp-incident
 */
final readonly class AnswerCalculator implements Calculator
{
    public function __construct(private LimitTable $limits) {}

    public function name(): string
    {
        return 'incident.answer';
    }

    public function title(): string
    {
        return 'What to do about a bad reading';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterMix::input('now', 'The water now')->optional(),
            Input::number('do_mg_l', 'Oxygen', 'mg/L', 0, 30)->optional(),
            Input::number('chlorine_mg_l', 'Chlorine in it', 'mg/L', 0, 20)->optional(),
            WaterMix::input('source', 'New water')->optional(),
            Input::number('source_chlorine_mg_l', 'Chlorine in new water', 'mg/L', 0, 20)->optional(),
            Input::flag('chloramine', 'It is chloramine')->or(false),
            Input::flag('source_no_chlorine', 'It surely has none, as from a well')->or(false),
            Input::choice('life_stage', 'Limits of', array_keys($this->limits->stages))->or('adult'),
            Input::choices(
                'seen',
                'What is seen',
                array_map(static fn(Sign $seen): string => $seen->value, Sign::cases()),
            )->optional(),
            Input::number('tan_g_d', 'Ammonia made', 'g N/d', 0, 1e5)->or(0.0),
            LoadInputs::feed()->or(0.0),
            Input::flag('fish', 'Fish are in it')->or(true),
            Input::number('filter_takes_g_d', 'Of it the filter takes', 'g N/d', 0, 1e5)->optional(),
            Input::choice(
                'overload',
                'The filter stands to its load',
                array_map(static fn(State $state): string => $state->value, State::cases()),
            )->or(State::Good->value),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6)->or(0.0),
            Input::flag('fragile', 'Small or weak fish')->or(false),
            Input::flag('zeolite_in', 'Zeolite in the loop')->or(false),
            Input::flag('bind', 'Binder is used')->or(true),
            Input::flag('bind_first', 'Binder before changes')->or(false),
            Input::flag('salt', 'Salt is used')->or(true),
            Input::number('feed_share', 'Fed in trouble', null, 0, 1)->or(0.5),
            Input::number('feed_days', 'Not fed for', 'd', 0, 14)->or(0.0),
        ];
    }

    public function outputs(): array
    {
        return [new Output('causes'), new Output('steps'), new Output('tests')];
    }

    public function calculate(Given $given): Result
    {
        $stage = $this->stage($given);
        $water = array_filter(
            [
                ...$given->object('now')?->numbers() ?? [],
                'do_mg_l' => $given->numberOrNull('do_mg_l'),
                'chlorine_mg_l' => $given->numberOrNull('chlorine_mg_l'),
            ],
            static fn(?float $value): bool => $value !== null,
        );
        $source = array_filter(
            [
                ...$given->object('source')?->numbers() ?? [],
                'chlorine_mg_l' => $given->numberOrNull('source_chlorine_mg_l'),
            ],
            static fn(?float $value): bool => $value !== null,
        );
        $free = $this->situation($given, $water, $source, [])->unionised();
        $judged = $free === null ? $water : [...$water, 'nh3_n_mg_l' => $free];
        $states = $sides = [];
        foreach ($judged as $key => $value) {
            $verdict = $this->limits->for($stage, Parameter::from($key))->judge(Interval::between($value, $value));
            $states[$key] = $verdict->state;
            if ($verdict->side !== null) {
                $sides[$key] = $verdict->side;
            }
        }
        $answer = Answer::to(
            $this->situation($given, $water, $source, $states, $sides),
            array_map(Sign::from(...), $given->texts('seen')),
        );

        $work = new Working();
        foreach ($answer->causes as $cause) {
            $work->step(
                $cause->name() . '.',
                'a reading that is to be acted on, or what is seen',
                count($water) . ' readings',
                count(array_filter($answer->steps, static fn(AnswerStep $step): bool => $step->cause === $cause)) .
                    ' steps',
            );
        }
        $work->cite('cp-incident');
        if ($free !== null) {
            $work->note(Message::of('incident.answer_un_ionised_ammonia_mg', ['free' => Format::number($free, 2)]));
        }
        if (!isset($water['ph'], $water['temp_c'])) {
            $work->note(
                Message::of('incident.answer_water_assumed', [
                    'ph' => Format::number($water['ph'] ?? AssumedWater::PH),
                    'temp' => Format::number($water['temp_c'] ?? AssumedWater::TEMPERATURE_C),
                ]),
            );
        }
        foreach ($answer->tests as $test) {
            $work->watch(Message::of('incident.answer_known_test', ['test' => $test]));
        }

        return $work->result([
            'causes' => array_map(static fn(Cause $cause): string => $cause->value, $answer->causes),
            'steps' => array_map(
                static fn(AnswerStep $step): array => [
                    'cause' => $step->cause->value,
                    'code' => $step->do->code,
                    'do' => $step->do->text,
                    'why_code' => $step->why?->code,
                    'why' => $step->why->text ?? '',
                    'amount' => $step->amount,
                    'caution' => $step->caution?->text,
                ],
                $answer->steps,
            ),
            'tests' => $answer->tests,
        ]);
    }

    /**
     * @param  array<string, float>  $water
     * @param  array<string, float>  $source
     * @param  array<string, State>  $states
     * @param  array<string, string>  $sides
     */
    private function situation(Given $given, array $water, array $source, array $states, array $sides = []): Situation
    {
        $stage = $this->stage($given);
        $allowed = AllowedAmmonia::of(
            $this->limits,
            $stage,
            $water['ph'] ?? AssumedWater::PH,
            $water['temp_c'] ?? AssumedWater::TEMPERATURE_C,
            $water['salinity_g_l'] ?? 0.0,
        );
        $watch = fn(Parameter $of): float => $this->limits->for($stage, $of)->above->watch ?? INF;

        return new Situation(
            volumeL: $given->number('volume_l'),
            water: $water,
            states: $states,
            source: $source,
            chloramine: $given->flag('chloramine'),
            tanGD: $given->number('tan_g_d'),
            feedGD: $given->number('feed_g_d'),
            fish: $given->flag('fish'),
            fragile: $given->flag('fragile'),
            zeoliteIn: $given->flag('zeolite_in'),
            tanLimit: $allowed->tan,
            no2Limit: $watch(Parameter::Nitrite),
            no3Limit: $watch(Parameter::Nitrate),
            doLimit: $this->limits->for($stage, Parameter::Oxygen)->below->watch ?? 6.0,
            binder: null,
            conditioner: null,
            follows: [
                'bind' => $given->flag('bind'),
                'bindFirst' => $given->flag('bind_first'),
                'feedShare' => $given->number('feed_share'),
                'feedDays' => $given->number('feed_days'),
                'salt' => $given->flag('salt'),
            ],
            filterTakesGD: $given->numberOrNull('filter_takes_g_d'),
            overload: State::from($given->text('overload')),
            biomassKg: $given->number('biomass_kg'),
            sides: $sides,
            unionisedLimit: $watch(Parameter::UnionisedAmmonia),
            noChlorine: $given->flag('source_no_chlorine'),
        );
    }

    /** Fish are judged by the fish, whatever the filter is about. */
    private function stage(Given $given): string
    {
        return LimitTable::inForce($given->text('life_stage'), $given->flag('fish'));
    }
}
