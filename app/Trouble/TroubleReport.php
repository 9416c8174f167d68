<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Capacity\CapacityReport;
use App\Capacity\CapacityVerdict;
use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Fish\FeedPlan;
use App\Forms\Figure;
use App\Forms\Origin;
use App\Living\BookStop;
use App\Models\Age;
use App\Models\Charge;
use App\Models\FishGroup;
use App\Models\Good;
use App\Models\Incident;
use App\Models\Stage;
use App\Models\System;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Readings\SetbackNotice;
use App\Readings\WaterMeaning;
use App\State\SystemState;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\Conflicts;
use Ironwort\Core\Dose\Danger;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Incident\Answer;
use Ironwort\Core\Incident\AnswerStep;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Event;
use Ironwort\Core\Incident\OffLimits;
use Ironwort\Core\Incident\Repeat;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Incident\Situation;
use Ironwort\Core\Incident\SuspectTable;
use Ironwort\Core\Incident\Suspicion;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/** What to do in one system now: its readings as far as they are fresh, what is seen, and the schools it follows. */
final readonly class TroubleReport
{
    /** Schools that change the words of a plan and none of its figures. */
    private const WORDED = ['culture', 'intake', 'oxygen_source', 'parasites', 'clear_water'];

    private const DERIVED = ['nh3_n_mg_l' => 'tan_mg_l', 'do_sat_pct' => 'do_mg_l', 'co2_mg_l' => 'ph'];

    public function __construct(
        private WaterMeaning $meaning,
        private SystemState $states,
        private LimitsInForce $limits,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private ExpectedWater $expected,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private CapacityReport $capacity,
        private FeedPlan $feeds,
        private BookFacts $facts,
        private SuspectTable $suspects,
        private BookStop $stops,
        private IncidentStands $incidents,
        private Conflicts $conflicts,
    ) {}

    /**
     * @param  list<Sign>  $seen
     * @return array<string, mixed>
     */
    public function of(System $system, LatestWater $water, array $seen, ?Incident $incident = null): array
    {
        $fresh = $old = [];
        foreach ($water->readings as $key => $reading) {
            if ($reading->taken_at->diffInDays(Carbon::now()) <= Validity::READING_D) {
                $fresh[$key] = $reading;
            } else {
                $old[] = $reading->parameter->name() . ', ' . Age::of($reading->taken_at);
            }
        }
        $reckoned = array_intersect_key($this->expected->now($system, $water), $fresh);
        $values = [...array_map(static fn($reading): float => $reading->value, $fresh), ...$reckoned];
        $states = $shown = $sides = [];
        foreach ($this->meaning->of($system, $water)->strips as $strip) {
            $key = $strip->reading->parameter->value;
            if (isset($fresh[self::DERIVED[$key] ?? $key])) {
                $states[$key] = $strip->verdict->state;
                $sides = [...$sides, ...$strip->verdict->side === null ? [] : [$key => $strip->verdict->side]];
            }
        }
        foreach ($fresh as $key => $reading) {
            $shown[] = [
                'name' => $reading->parameter->name(),
                'text' => trim(
                    Format::number($reading->parameter->shown($values[$key]), 3) . ' ' . $reading->parameter->symbol(),
                ),
                'from' => (isset($reckoned[$key]) ? 'estimated since the test ' : '') . Age::of($reading->taken_at),
                'state' => ($states[$key] ?? State::Good)->value,
            ];
        }
        $verdict = $this->capacity->of($system, $water);
        $situation = $this->situation(
            $system,
            $verdict,
            $values,
            $states,
            $this->states->of($system, $water, verdict: $verdict)->dangers,
            $sides,
        );
        $answer = Answer::to($situation, $seen);
        $worse = $this->incidents->worse($system, $incident);
        $suspected =
            $answer->causes === []
                ? []
                : $this->suspects->rank(
                    $answer->causes,
                    $this->facts->of($system, $water, $situation, $verdict, $seen, $incident),
                );
        $known = $this->volumes->inUse($system)->value > 0;
        $origins = [
            new Origin(
                'volume_l',
                'Water',
                Format::number($situation->volumeL, 4) . ' L',
                'computed',
                'the volume in use',
            ),
            ...array_map(
                static fn(array $row): Origin => new Origin(
                    $row['name'],
                    $row['name'],
                    $row['text'],
                    'measured',
                    $row['from'],
                ),
                $shown,
            ),
        ];

        return [
            'signs' => array_map(
                static fn(Sign $sign): array => [
                    'id' => $sign->value,
                    'says' => $sign->says(),
                    'seen' => in_array($sign, $seen, true),
                ],
                Sign::cases(),
            ),
            'causes' => array_map(
                static fn(Cause $cause): array => [
                    'id' => $cause->value,
                    'name' => $cause->name(),
                    'steps' => self::steps($answer, $cause, $origins, $known, $incident, $worse),
                ],
                $answer->causes,
            ),
            'behind' => SetbackNotice::of($system)?->toArray(),
            'suspects' => array_map(self::suspected(...), $suspected),
            'incident' => $this->incidents->of($system, $incident, $worse),
            'events' => array_map(
                static fn(Event $one): array => ['id' => $one->value, 'name' => $one->name()],
                Event::cases(),
            ),
            'all_causes' => array_map(
                static fn(Cause $one): array => ['id' => $one->value, 'name' => $one->name()],
                Cause::cases(),
            ),
            'tests' => $answer->tests,
            'watched' => array_map(
                static fn(string $key, Message $one): array => ['parameter' => $key, ...$one->toArray()],
                array_keys($watched = OffLimits::watched($situation)),
                array_values($watched),
            ),
            'old' => $old,
            'readings' => $shown,
            'no_volume' => $known ? null : Message::of('incident.no_volume', ['system' => $system->name])->toArray(),
            'changed' =>
                $reckoned !== []
                    ? 'Water was changed or dosed since the last test, so amounts are worked out for what should now ' .
                        'be in it. Test again first.'
                    : null,
        ];
    }

    /** @return array<string, mixed> */
    private static function suspected(Suspicion $one): array
    {
        return [
            'id' => $one->id,
            'name' => $one->name,
            'word' => $one->word(),
            'points' => $one->score,
            'for' => array_map(static fn(Message $said): array => $said->toArray(), $one->for),
            'against' => array_map(static fn(Message $said): array => $said->toArray(), $one->against),
            'decides' => $one->decides->text,
            'page' => $one->page,
        ];
    }

    /**
     * What would be done if so much were read and seen: readings over those of the last test, judged as they are here.
     *
     * @param  array<string, float>  $values
     * @param  list<Sign>  $seen
     * @return list<string>
     */
    public function told(System $system, LatestWater $water, array $values, array $seen): array
    {
        $read = [...array_map(static fn($reading): float => $reading->value, $water->readings), ...$values];
        $states = $sides = [];
        foreach ($read as $key => $value) {
            $verdict = $this->limits->for($system, Parameter::from($key))->judge(Interval::between($value, $value));
            $states[$key] = isset($values[$key]) ? $verdict->state : State::Good;
            $sides = [...$sides, ...$verdict->side === null ? [] : [$key => $verdict->side]];
        }
        $now = $this->situation($system, $this->capacity->of($system, $water), $read, $states, [], $sides);

        return array_map(static fn(AnswerStep $one): string => $one->do->text, Answer::to($now, $seen)->steps);
    }

    /**
     * What is to be done in order, in words alone, by cause.
     *
     * @param  list<Sign>  $seen
     * @return array<string, list<string>>
     */
    public function deeds(System $system, LatestWater $water, array $seen): array
    {
        $deeds = [];
        foreach (
            Answer::to($this->situation($system, $this->capacity->of($system, $water), [], [], [], []), $seen)->steps
            as $step
        ) {
            $deeds[$step->cause->value][] = $step->do->text;
        }

        return $deeds;
    }

    /**
     * How many steps of an open incident wait to be done, or done again.
     *
     * @param  list<Sign>  $seen
     */
    public function waiting(System $system, LatestWater $water, array $seen, Incident $incident): int
    {
        $waits = 0;
        $causes = $this->of($system, $water, $seen, $incident)['causes'];
        foreach (is_array($causes) ? $causes : [] as $cause) {
            $steps = is_array($cause) && is_array($cause['steps'] ?? null) ? $cause['steps'] : [];
            foreach ($steps as $step) {
                $tick = is_array($step) && is_array($step['tick'] ?? null) ? $step['tick'] : [];
                $waits += in_array($tick['stands'] ?? null, ['due', 'again'], true) ? 1 : 0;
            }
        }

        return $waits;
    }

    /**
     * @param  list<Origin>  $origins
     * @param  bool  $known  whether the volume is: without it no amount is worked out
     * @param  list<Worsened>  $worse
     * @return list<array<string, mixed>>
     */
    private static function steps(
        Answer $answer,
        Cause $cause,
        array $origins,
        bool $known,
        ?Incident $incident,
        array $worse,
    ): array {
        return array_values(
            array_map(
                static fn(AnswerStep $step): array => [
                    'code' => $step->do->code,
                    'key' => IncidentStands::key($cause, $step),
                    'tick' => IncidentStands::tick($incident, $cause, $step, $worse),
                    'every_h' => Repeat::hours($step, $worse !== []),
                    'skipping' => Repeat::skipping($step)->text,
                    'do' => $step->do->text,
                    'why' => $step->why?->toArray(),
                    'page' => $step->page,
                    'fill' => (object) ($known ? Fill::of($step) : []),
                    'caution' => $step->caution?->text,
                    'measure' =>
                        !$known || $step->amount === null
                            ? null
                            : match ($step->amount['unit']) {
                                'g' => Measures::grams($step->amount['value']),
                                'mL' => Measures::millilitres($step->amount['value']),
                                default => null,
                            },
                    'figure' =>
                        !$known || $step->amount === null
                            ? null
                            : (new Figure(
                                'Worked out',
                                $step->amount['value'],
                                $step->amount['unit'],
                                $step->amount['calc'],
                                $step->amount['key'],
                                $step->amount['input'],
                                $origins,
                            ))->toArray(),
                ],
                array_filter($answer->steps, static fn(AnswerStep $step): bool => $step->cause === $cause),
            ),
        );
    }

    /**
     * @param  array<string, float>  $values
     * @param  array<string, State>  $states
     * @param  list<Danger>  $dangers
     * @param  array<string, string>  $sides
     */
    private function situation(
        System $system,
        CapacityVerdict $verdict,
        array $values,
        array $states,
        array $dangers,
        array $sides,
    ): Situation {
        $following = $this->limits->following($system);
        $ammonia = $following->in('ammonia');
        $feed = $following->in('trouble_feed');
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $new = [];
        foreach (
            [
                'tan_mg_l',
                'no2_n_mg_l',
                'no3_n_mg_l',
                'alkalinity_mg_l',
                'hardness_mg_l',
                'salinity_g_l',
                'chlorine_mg_l',
            ]
            as $key
        ) {
            $value = $source?->reading($key);
            if ($value !== null) {
                $new[$key] = $value;
            }
        }
        $table = $this->limits->table($system);
        $allowed = AllowedAmmonia::of(
            $table,
            $system->judgedAs(),
            $values['ph'] ?? AssumedWater::PH,
            $values['temp_c'] ?? AssumedWater::TEMPERATURE_C,
            $values['salinity_g_l'] ?? 0.0,
        );
        $watch = fn(Parameter $of): float => $this->limits->for($system, $of)->above->watch ?? INF;
        $label = static function (string $kind) use ($system): array {
            return Good::inUse($system->site_id, $kind)->label ?? [];
        };
        $binder = $label('binder');
        $conditioner = $label('conditioner');

        return new Situation(
            volumeL: max(1.0, $this->volumes->inUse($system)->value),
            water: $values,
            states: $states,
            source: $new,
            chloramine: $source?->chloramine() ?? false,
            tanGD: $this->systems->tanGD($system, $values['temp_c'] ?? AssumedWater::TEMPERATURE_C),
            feedGD: $system->feed()->feed_g_d ?? 0.0,
            fish: $system->fish->isNotEmpty(),
            fragile: $system->life_stage === 'fry' ||
                $system->fish->contains(static fn(FishGroup $group): bool => $group->length_cm < Situation::SMALL_CM),
            zeoliteIn: Charge::in($system)
                ->get()
                ->contains(static fn(Charge $charge): bool => $charge->holdsAmmonia()) ||
                $system->stages->contains(
                    static fn(Stage $stage): bool => $stage->kind === 'zeolite' && !$stage->bypassed,
                ),
            tanLimit: $allowed->tan,
            no2Limit: $watch(Parameter::Nitrite),
            no3Limit: $watch(Parameter::Nitrate),
            doLimit: $this->limits->for($system, Parameter::Oxygen)->below->watch ?? 6.0,
            binder: isset($binder['label_ml'], $binder['label_treats_l'], $binder['label_binds_mg_l'])
                ? [
                    'label_ml' => (float) $binder['label_ml'],
                    'label_treats_l' => (float) $binder['label_treats_l'],
                    'label_binds_mg_l' => (float) $binder['label_binds_mg_l'],
                ]
                : null,
            conditioner: isset($conditioner['label_ml'], $conditioner['label_treats_l'])
                ? [
                    'label_ml' => (float) $conditioner['label_ml'],
                    'label_treats_l' => (float) $conditioner['label_treats_l'],
                    ...isset($conditioner['label_chlorine_mg_l'])
                        ? ['label_chlorine_mg_l' => (float) $conditioner['label_chlorine_mg_l']]
                        : [],
                ]
                : null,
            follows: [
                'bind' => $ammonia->figure('bind') > 0,
                'bindFirst' => $ammonia->figure('bind_first') > 0,
                'feedShare' => $feed->figure('share'),
                'feedDays' => $feed->figure('days'),
                'salt' => $following->in('salt')->figure('use') > 0,
                'mostPct' => $following->in('incident_change')->figure('most_pct'),
            ],
            ways: array_map(
                static fn(string $topic): string => $following->in($topic)->id,
                array_combine(self::WORDED, self::WORDED),
            ),
            treatment: $this->treatment($system),
            overdosed: $dangers,
            filterTakesGD: $verdict->capacity?->value,
            sides: $sides,
            refuses: $this->refuses($system, $values),
            filterMayStandMin: $this->stops->mayStandMin($system),
            chlorineRuns: BookFacts::chlorineRuns($system) !== null,
            overload: $verdict->state ?? State::Good,
            biomassKg: $this->systems->biomass($system)->value,
            protein: $this->feeds->protein($system->feed()) / 100,
            unionisedLimit: max(0.001, $watch(Parameter::UnionisedAmmonia)),
            noChlorine: $source !== null && !$source->mayBringChlorine(),
        );
    }

    /**
     * @param  array<string, float>  $values  fresh readings
     * @return array<string, Message> what may not go in now, and why
     */
    private function refuses(System $system, array $values): array
    {
        return $this->conflicts->refusedIn(AnswerStep::GIVEN, [
            ...array_keys($this->residuals->now($system, $this->bodies->find($system, null))),
            ...($values['chlorine_mg_l'] ?? 0.0) > 0 ? ['chlorine'] : [],
        ]);
    }

    /** What was given against a sickness and is in the loop's water still. */
    private function treatment(System $system): ?string
    {
        $names = array_column(
            array_diff_key(
                $this->residuals->now($system, $this->bodies->find($system, null)),
                array_flip(['salt', 'binder', 'thiosulfate', 'bicarbonate']),
            ),
            'name',
        );

        return $names === [] ? null : lcfirst(implode(' and ', $names));
    }
}
