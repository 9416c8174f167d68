<?php

declare(strict_types=1);

namespace App\Service;

use App\Build\RefillOf;
use App\Models\Age;
use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Exchange\Refill;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Service\Procedure;
use Ironwort\Core\Service\Rinse;
use Ironwort\Core\Words\Message;

/** The page of service of a system: every job by part, how it stands, what it would take, and what was done. */
final readonly class ServiceReport
{
    private const NEWEST = 30;

    /** Two biological jobs within so many days are said. Common practice, no source. */
    private const WEEK_D = 7;

    /** Bacteria lost within a fortnight from which it is a strip, percent; and water in which little grows back, °C. */
    private const STRIPS_PCT = 60.0;

    private const COLD_C = 12.0;

    public function __construct(
        private DueJobs $due,
        private SettingOf $settings,
        private EndService $ends,
        private RunService $runs,
        private LimitsInForce $judging,
        private BlockingReport $blocking,
        private AfterStrip $strips,
        private BigReport $big,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $book = ServiceBook::of($system);
        $jobs = $this->due->of($system, $water, $book);
        $parts = [];
        foreach ($jobs as $one) {
            $key = "{$one->part->kind}:{$one->part->id}";
            $parts[$key] ??= ['key' => $key, 'kind' => $one->part->kind, 'name' => $one->part->name, 'jobs' => []];
            $parts[$key]['jobs'][] = $this->job($system, $water, $one, $book);
        }

        return [
            'parts' => array_values($parts),
            'open' => array_map(fn(Service $run): array => $this->run($system, $run), $book->open),
            'blocking' => $this->blocking->of($system, $water, $jobs),
            'rinse' => $this->rinse($system)->value,
            'chosen' => $this->judging->following($system)->in('service_when')->name,
            'big' => $this->big->all($system, $book),
            'done' => $this->done($system),
        ];
    }

    public function rinse(System $system): Rinse
    {
        return $this->judging->following($system)->in('service_how')->figure('hosed') > 0
            ? Rinse::Hosed
            : Rinse::System;
    }

    /** @return array<string, mixed> */
    public function run(System $system, Service $run): array
    {
        return [
            'id' => $run->id,
            'job' => $run->job_name,
            'part' => $run->name,
            'way' => $run->way,
            'started_at' => $run->started_at->toIso8601ZuluString(),
            'planned_min' => $run->planned_min,
            'by' => $run->user?->name,
            'steps' => array_map(
                static fn(array $step): array => [
                    'text' => $step['text'],
                    'code' => $step['code'],
                    'flow' => $step['flow'],
                    'after_flow' => $step['after_flow'],
                    'caution' => $step['caution'],
                    'switches' => $step['switches'] !== null,
                    'done' => $step['done_at'] !== null,
                    'by' => $step['done_by'],
                ],
                $run->steps,
            ),
            'water_l' => $run->water_l,
            'flow_seen' => $run->flow_seen_at !== null,
            'flow_l_h' => $run->flow_l_h,
            'open' => array_map(static fn(Message $one): array => $one->toArray(), $this->runs->open($run, $system)),
            'ended' => $run->ended_at !== null,
            'after' => self::texts(
                ...$run->setback_id === null ? [] : [Message::of('service.test_after')],
                ...$run->ended_at === null ? [] : self::refilled(RefillOf::system($system), $run->water_l),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private function job(System $system, LatestWater $water, DueJob $one, ServiceBook $book): array
    {
        $setting = $this->settings->part($system, $water, $one->part);
        $stops = Procedure::usuallyStops($one->job);
        $stage = $one->part->part instanceof Stage ? $one->part->part : null;
        $deed = $one->job->deed($this->rinse($system));
        $takes =
            $deed === null || $stage === null
                ? 0.0
                : $deed->costs(0.0, $one->job->share() * $this->ends->shareOf($system, $stage))['lost'];

        return [
            'id' => $one->job->id,
            'name' => $one->job->name,
            'own' => $one->own,
            'set' => $book->set($one->job->id, $one->part->id),
            'minutes' => $one->job->minutes,
            'every_d' => $one->due->everyD,
            'left_d' => $one->due->leftD,
            'stands' => $one->due->stands,
            'done' => $one->doneAt === null ? null : Age::of($one->doneAt),
            'why' => self::texts(...$one->due->why),
            'not' => self::texts(...$one->job->notTo()),
            'tools' => $one->job->tools,
            'water_l' => Procedure::takesL($one->job, $setting, $stops),
            'takes_pct' => $takes,
            'warns' => self::texts(
                ...$one->job->biological() && $stage !== null ? $this->warns($system, $water, $takes) : [],
                ...self::refilled($setting->refill, Procedure::takesL($one->job, $setting, $stops)),
            ),
            'washes' => $one->job->washes > 0,
            'stops' => $setting->pumps !== [] && $stops,
            'can_stop' => $setting->pumps !== [] && $one->job->steps !== 'flush',
            'open' => $one->open?->id,
        ];
    }

    /** @return list<Message> how what is taken comes back by itself, and what is wrong with that */
    private static function refilled(?Refill $refill, ?float $litres): array
    {
        return $refill === null || $litres === null || $litres < 1
            ? []
            : array_values(array_filter([$refill->caution()?->message, $refill->says($litres)]));
    }

    /** @return list<Message> what speaks against losing more now */
    private function warns(System $system, LatestWater $water, float $takes): array
    {
        $lately = $system->setbacks->filter(
            static fn(Setback $one): bool => $one->happened_on->gte(Carbon::today()->subDays(2 * self::WEEK_D)),
        );
        $week = $lately->first(
            static fn(Setback $one): bool => $one->lost_pct > 0 &&
                $one->happened_on->gte(Carbon::today()->subDays(self::WEEK_D)),
        );
        $other =
            $week === null
                ? null
                : Service::query()->where('setback_id', $week->id)->whereNull('withdrawn_at')->first();
        $left = $lately->reduce(static fn(float $left, Setback $one): float => $left * (1 - $one->lost_pct / 100), 1.0);
        $after = 100 * (1 - $left * (1 - $takes / 100));
        $cold = $water->get(Parameter::Temperature)?->value;

        return array_values(
            array_filter([
                $week === null
                    ? null
                    : Message::of('service.two_in_a_week', [
                        'other' => $other->name ?? 'The filter',
                        'days' => Format::number(floor($week->happened_on->diffInDays(Carbon::today()))),
                    ]),
                $week !== null && $cold !== null && $cold < self::COLD_C
                    ? Message::of('service.two_in_cold', ['temp' => Format::number($cold, 2)])
                    : null,
                $after >= self::STRIPS_PCT
                    ? Message::of('service.strips_all', ['pct' => Format::number($after, 2)])
                    : null,
                $after >= self::STRIPS_PCT ? $this->strips->says($system, $water, $takes) : null,
            ]),
        );
    }

    /** @return list<array<string, mixed>> what was done, the newest first */
    private function done(System $system): array
    {
        /** @var Collection<int, Service> $rows */
        $rows = Service::query()
            ->with(['user', 'ender'])
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereNotNull('ended_at')
            ->orderByDesc('ended_at')
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get();

        return array_values(
            $rows
                ->map(
                    static fn(Service $one): array => [
                        'id' => $one->id,
                        'text' => $one->text(),
                        'age' => $one->ended_at === null ? '' : Age::of($one->ended_at),
                        'by' => $one->ender?->name,
                        'minutes' => $one->way === 'told' ? null : $one->started_at->diffInMinutes($one->ended_at),
                        'water_l' => $one->water_l,
                        'flow_l_h' => $one->flow_l_h,
                        'cost' => $one->cost,
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array{code: string, text: string}> */
    private static function texts(Message ...$all): array
    {
        return array_values(array_map(static fn(Message $one): array => $one->toArray(), $all));
    }
}
