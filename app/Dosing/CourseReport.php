<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Capacity\SystemLoad;
use App\Expected\ExpectedWater;
use App\Expected\Residuals;
use App\Models\Age;
use App\Models\Charge;
use App\Models\Course;
use App\Models\Dose;
use App\Models\Good;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\WaterMeaning;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\AfterCourse;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\CoursePlan;
use Ironwort\Core\Dose\Culture;
use Ironwort\Core\Dose\Judged;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\StandingLevel;
use Ironwort\Core\Dose\Validity;
use Ironwort\Core\Dose\ZeoliteCalculator;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Courses as they stand: doses given and due, what is left between them, what to watch, and what comes after; and
 * what hangs in the loop.
 */
final readonly class CourseReport
{
    private const CURVE_POINTS = 60;

    /** Less than this share missing is not worth the scale. */
    private const WORTH_TOPPING_UP = 0.05;

    public function __construct(
        private Registry $registry,
        private AgentTable $agents,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private SystemLoad $load,
        private ExpectedWater $expected,
        private WaterMeaning $meaning,
        private JudgeDose $judge,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        /** @var Collection<int, Course> $courses */
        $courses = Course::query()
            ->with(['doses', 'vessel'])
            ->where('system_id', $system->id)
            ->orderByRaw('ended_at IS NOT NULL, started_at DESC')
            ->limit(10)
            ->get();
        $temp = $water->valueOrAssumed(Parameter::Temperature);

        return [
            'temp_c' => $temp,
            'temp_assumed' => $water->get(Parameter::Temperature) === null,
            'courses' => array_values(
                $courses
                    ->map(
                        fn(Course $course): array => [
                            ...$this->course($system, $water, $course, $temp),
                            ...self::messages(
                                $course->ended_at === null ? $this->judged($system, $water, $course) : new Judged(),
                            ),
                        ],
                    )
                    ->all(),
            ),
            'washes' => $this->washes($system, $courses),
            'charges' => $this->charges($system, $water),
            'culture' => $this->culture($system, $water),
        ];
    }

    /** @return array{refusals: list<array{code: string, text: string}>,
     *     conditions: list<array{code: string, text: string}>} */
    private static function messages(Judged $judged): array
    {
        $told = static fn(Message $message): array => $message->toArray();

        return [
            'refusals' => array_map($told, $judged->refusals),
            'conditions' => array_map($told, $judged->conditions),
        ];
    }

    /** What the water as it is now says to another dose. */
    private function judged(System $system, LatestWater $water, Course $course): Judged
    {
        return $this->judge->conflicts(
            Dosable::all($system, $this->agents)[$course->thing],
            $this->judge->state($system, $this->bodies->find($system, $course->vessel_id), $water),
        );
    }

    /**
     * What a course still needs to stand at its level, of the product as it is weighed; 0 where it stands there.
     *
     * Where carbon or zeolite took of it, no more than would be safe if they had taken nothing.
     */
    public function topUp(System $system, LatestWater $water, Course $course): float
    {
        $body = $this->bodies->find($system, $course->vessel_id);
        $reckoned = $this->expected->now($system, $water);
        $of = static fn(Parameter $parameter): ?float => $reckoned[$parameter->value] ??
            $water->get($parameter)?->value;
        // What was given besides the course is in the water like its own doses.
        $there = $this->residuals->now($system, $body)[$course->thing] ?? ['mg_l' => null, 'most_mg_l' => null];
        $left = $this->left($system, $course, Carbon::now());
        $mostLeft = $this->left($system, $course, Carbon::now(), adsorbed: false);
        $short = StandingLevel::topUp(
            $course->dose_mg_l,
            max($left, $there['mg_l'] ?? 0.0),
            max($mostLeft, $there['most_mg_l'] ?? 0.0),
            StandingLevel::ceiling(
                $this->agents->get($course->thing),
                $of(Parameter::Alkalinity),
                $of(Parameter::Ph),
                $of(Parameter::Hardness),
            ) ?? $course->dose_mg_l,
        );

        return ($short * $body->volumeL) / 1000 / $this->strength($course);
    }

    public function left(System $system, Course $course, Carbon $at, bool $adsorbed = true): float
    {
        return (float) $course->doses
            ->filter(static fn(Dose $dose): bool => $dose->given_at->lte($at))
            ->sum(fn(Dose $dose): float => $this->residuals->left($system, $dose, $at, $adsorbed) ?? 0.0);
    }

    /** What the doses to come need at most, against what stands on the shelf. */
    private function shelf(System $system, Course $course, CoursePlan $plan): ?string
    {
        $left = count(array_filter($plan->doses, static fn(array $dose): bool => $dose['state'] !== 'given'));
        $good = Good::inUse($system->site_id, $course->thing);
        if ($left === 0 || $plan->broken) {
            return null;
        }
        $each =
            ($course->dose_mg_l * $this->bodies->find($system, $course->vessel_id)->volumeL) /
            1000 /
            $this->strength($course);
        $said = fn(float $amount): string => $this->agents->get($course->thing)->unit === 'mL'
            ? Measures::millilitres($amount)
            : Measures::grams($amount);
        $needs =
            ($left === 1 ? 'The last dose needs ' : "The {$left} doses to come need ") .
            $said($left * $each) .
            ' at most';

        return match (true) {
            $good === null => "{$needs}; none of it stands on the shelf list.",
            $good->amount === null => "{$needs}; nobody counts what is left of {$good->name}.",
            $good->amount >= $left * $each => "{$needs}; {$good->left()} are left of {$good->name}.",
            default => "{$needs}, and only {$good->left()} are left of {$good->name}: enough for " .
                (int) floor($good->amount / $each) .
                '.',
        };
    }

    /** What carbon or zeolite in the loop has to do with what is left. */
    private function adsorbed(System $system, Course $course, string $unit): ?string
    {
        $left = $this->left($system, $course, Carbon::now());
        $most = $this->left($system, $course, Carbon::now(), adsorbed: false);

        return $most - $left < 0.005 * $course->dose_mg_l
            ? null
            : 'Carbon or zeolite was in the loop during the course: ' .
                    Format::number($left, 3) .
                    " {$unit} are left by what it may have taken, " .
                    Format::number($most, 3) .
                    ' if it took nothing. Take it out and write it out; a top-up is held to what ' .
                    'would be safe either way, and a half change and a new dose would make it ' .
                    'certain.';
    }

    public function plan(Course $course, float $tempC): CoursePlan
    {
        $agent = $this->agents->get($course->thing);
        $first = $course->doses->first()->given_at ?? $course->started_at;

        return CoursePlan::of(
            $course->repeats,
            $agent->interval($tempC),
            array_values(
                $course->doses
                    ->filter(static fn(Dose $dose): bool => ($dose->input['top_up'] ?? false) !== true)
                    ->map(static fn(Dose $dose): float => $first->diffInSeconds($dose->given_at) / 86400)
                    ->all(),
            ),
            $first->diffInSeconds(Carbon::now()) / 86400,
        );
    }

    public function strength(Course $course): float
    {
        $agent = $this->agents->get($course->thing);

        return match (true) {
            $course->strength_pct === null => 1.0,
            $agent->strengthPct !== null => $course->strength_pct / $agent->strengthPct,
            default => $course->strength_pct / 100,
        };
    }

    /** @return array<string, mixed> */
    private function course(System $system, LatestWater $water, Course $course, float $temp): array
    {
        $agent = $this->agents->get($course->thing);
        $plan = $this->plan($course, $temp);
        $first = $course->doses->first()->given_at ?? $course->started_at;
        $unit = $agent->unit === 'mL' ? 'µL/L' : 'mg/L';
        $short = $course->ended_at === null ? $this->topUp($system, $water, $course) : 0.0;
        $after = AfterCourse::steps($agent);

        return [
            'id' => $course->id,
            'name' => $agent->name,
            'where' => $course->vessel?->name,
            'level' => Format::number($course->dose_mg_l, 3) . " {$unit}",
            'unit' => $unit,
            'began' => Age::of($course->started_at),
            'ended' => $course->ended_at === null ? null : Age::of($course->ended_at),
            'end_reason' => $course->end_reason,
            'every_d' => $agent->interval($temp),
            'says' => $plan->says,
            'complete' => $plan->complete,
            'broken' => $plan->broken,
            'doses' => array_map(
                static fn(array $dose): array => [
                    ...$dose,
                    'on' => $first->copy()->addMinutes((int) round(1440 * $dose['day']))->toIso8601ZuluString(),
                ],
                $plan->doses,
            ),
            'left' => Format::number($this->left($system, $course, Carbon::now()), 3) . " {$unit}",
            'shelf' => $course->ended_at === null ? $this->shelf($system, $course, $plan) : null,
            'adsorbed' => $course->ended_at === null ? $this->adsorbed($system, $course, $unit) : null,
            'top_up' =>
                Measures::down($short) <= 0 ||
                $this->left($system, $course, Carbon::now()) > (1 - self::WORTH_TOPPING_UP) * $course->dose_mg_l
                    ? null
                    : ($agent->unit === 'mL'
                        ? Measures::millilitres($short)
                        : Measures::grams($short)),
            'curve' => $this->curve($system, $course),
            'daily' => AfterCourse::daily($agent),
            'stop' => $agent->stop,
            'after' => array_map(
                static fn(string $key, string $text): array => [
                    'key' => $key,
                    'text' => $text,
                    'done' => in_array($key, $course->returned, true),
                ],
                array_keys($after),
                array_values($after),
            ),
        ];
    }

    /**
     * What was given outside a course and is in the water still, as it washes out.
     *
     * @param  Collection<int, Course>  $courses
     * @return list<array{name: string, unit: string, left: string, curve: list<array{t: int, mg_l: float}>}>
     */
    private function washes(System $system, Collection $courses): array
    {
        $body = $this->bodies->find($system, null);
        $running = $courses
            ->filter(static fn(Course $course): bool => $course->ended_at === null)
            ->map(static fn(Course $course): string => $course->thing)
            ->all();
        $rows = [];
        foreach ($this->residuals->now($system, $body) as $thing => $present) {
            if (($present['mg_l'] ?? 0.0) <= 0 || in_array($thing, $running, true)) {
                continue;
            }
            /** @var Collection<int, Dose> $doses */
            $doses = Dose::query()
                ->where('system_id', $system->id)
                ->where('thing', $thing)
                ->whereNull('vessel_id')
                ->whereNull('withdrawn_at')
                ->where('way', 'prolonged')
                ->where('given_at', '>=', Carbon::now()->subDays(Validity::BACK_D))
                ->orderBy('given_at')
                ->limit(100)
                ->get();
            $unit = ($this->agents->agents[$thing] ?? null)?->unit === 'mL' ? 'µL/L' : 'mg/L';
            $rows[] = [
                'name' => $present['name'],
                'unit' => $unit,
                'left' => Format::number((float) $present['mg_l'], 3) . " {$unit}",
                'curve' => $this->trace($system, $doses, Carbon::now()->addDays(14)),
            ];
        }

        return $rows;
    }

    /**
     * @return list<array{t: int, mg_l: float}> what is left from the first dose to some days on, as the trickle runs
     *     now
     */
    private function curve(System $system, Course $course): array
    {
        return $this->trace($system, $course->doses->toBase(), $course->ended_at ?? Carbon::now()->addDays(3));
    }

    /**
     * @param  Collection<int, Dose>  $doses  oldest first
     * @return list<array{t: int, mg_l: float}>
     */
    private function trace(System $system, Collection $doses, Carbon $to): array
    {
        $from = $doses->first()?->given_at;
        if ($from === null) {
            return [];
        }
        $seconds = max(3600.0, $from->diffInSeconds($to));
        $points = [];
        // A point right at each dose as well, so that the curve stands as high as it was.
        $times = [
            ...array_map(
                static fn(int $i): int => (int) ($from->getTimestamp() + ($seconds * $i) / self::CURVE_POINTS),
                range(0, self::CURVE_POINTS),
            ),
            ...$doses->map(static fn(Dose $dose): int => $dose->given_at->getTimestamp() + 1)->all(),
        ];
        sort($times);
        $fading = $doses->map(fn(Dose $dose): array => [$dose, $this->residuals->fading($system, $dose, $to)]);
        foreach ($times as $time) {
            $at = Carbon::createFromTimestamp($time);
            $points[] = [
                't' => $time,
                'mg_l' => (float) $fading->sum(
                    static fn(array $row): float => $row[0]->given_at->lte($at)
                        ? $row[1]?->left(Residuals::hours($row[0], $at)) ?? 0.0
                        : 0.0,
                ),
            ];
        }

        return $points;
    }

    /** @return list<array<string, mixed>> */
    private function charges(System $system, LatestWater $water): array
    {
        $charges = Charge::in($system)->get();
        $made = $charges->isEmpty() ? 0.0 : $this->load->now($system, $water)->value;
        $reckoned = $this->expected->now($system, $water);
        $salt = $reckoned['salinity_g_l'] ?? ($water->get(Parameter::Salinity)->value ?? 0.0);

        $stage = $system->stages->first(
            static fn(Stage $stage): bool => $stage->kind === 'zeolite' && !$stage->bypassed && $stage->flow_l_h > 0,
        );
        $tan = $reckoned['tan_mg_l'] ?? $water->get(Parameter::Ammonia)?->value;
        $brought = [
            ...$tan === null ? [] : ['tan_mg_l' => $tan],
            ...$stage === null || $tan === null ? [] : ['flow_l_h' => $stage->flow_l_h],
            'volume_l' => max(0.1, $this->bodies->find($system, null)->volumeL),
        ];

        return array_values(
            $charges
                ->map(function (Charge $charge) use ($made, $salt, $brought): array {
                    $row = [
                        'id' => $charge->id,
                        'kind' => $charge->kind,
                        'text' => Measures::grams($charge->mass_g) . " of {$charge->kind}",
                        'age' => Age::of($charge->put_in_at),
                        'cycles' => $charge->cycles,
                        'used_pct' => null,
                        'full_in_d' => null,
                        'cautions' => [],
                        'brine' => null,
                    ];
                    if (!$charge->holdsAmmonia()) {
                        return $row;
                    }
                    $result = $this->registry->run('dose.charge', [
                        'mass_g' => $charge->mass_g,
                        'capacity_mg_n_per_g' => $charge->capacity_mg_n_per_g ?? ZeoliteCalculator::CAPACITY_MG_N_PER_G,
                        'cycles' => (float) $charge->cycles,
                        'production_g_d' => $made,
                        'days_in' => $charge->put_in_at->diffInSeconds(Carbon::now()) / 86400,
                        'salinity_g_l' => $salt,
                        ...$brought,
                    ]);

                    return [
                        ...$row,
                        'used_pct' => $result->number('used_pct'),
                        'full_in_d' => $result->figures['full_in_d'],
                        'cautions' => $result->toArray()['cautions'],
                        'brine' =>
                            Format::number($result->number('brine_l'), 3) .
                            ' L of brine with ' .
                            Measures::grams($result->number('brine_salt_g')) .
                            ' of salt, a day, away from fish; then rinse in system water.',
                    ];
                })
                ->all(),
        );
    }

    private function culture(System $system, LatestWater $water): string
    {
        $last = Dose::query()
            ->where('system_id', $system->id)
            ->where('thing', 'culture')
            ->whereNull('withdrawn_at')
            ->max('given_at');
        $youngest = $system->stages
            ->map(static fn(Stage $stage): ?float => $stage->since?->diffInDays(Carbon::now()))
            ->filter(static fn(?float $days): bool => $days !== null)
            ->min();
        $state = $this->meaning->of($system, $water)->state;

        return Culture::says(
            is_string($last) ? Carbon::parse($last)->diffInDays(Carbon::now()) : null,
            is_float($youngest) ? $youngest : ($system->life_stage === 'starting' ? 0.0 : null),
            $state === State::Emergency,
        );
    }
}
