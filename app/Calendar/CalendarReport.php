<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Arrivals\QuarantineOf;
use App\Dosing\CourseReport;
use App\Models\Course;
use App\Models\Good;
use App\Models\Kit;
use App\Models\NewestOfEach;
use App\Models\Site;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\TestsDue;
use App\Service\DueJobs;
use App\Service\ServiceBook;
use App\State\Carried;
use App\State\SystemState;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Words\Message;

/** All that is due at a site, by the same rules as the round and the pages: tests, service, doses, stock. */
final readonly class CalendarReport
{
    private const COURSES = 10;

    public function __construct(
        private TestsDue $tests,
        private DueJobs $jobs,
        private SystemState $states,
        private CourseReport $courses,
        private AgentTable $agents,
        private QuarantineOf $quarantine,
    ) {}

    /** @return list<CalendarItem> in the order in which they are due */
    public function of(Site $site, Carbon $until): array
    {
        $systems = System::awakeOf($site);
        $items = $this->expiring($site);
        if ($systems->isNotEmpty()) {
            System::lookAtTogether($systems);
            $water = LatestWater::ofAll($systems);
            $seen = $this->tests->seenOf($systems);
            $dosed = SystemState::dosed($systems);
            $versions = Carried::versions($systems);
            $this->states->ahead($systems, $water, $versions);
            $books = ServiceBook::ofAll(
                $systems,
                array_map(static fn(array $one): ?float => $one['month_ago_c'], $seen),
            );
            $courses = NewestOfEach::of(
                $systems,
                Course::query()->with('doses')->whereNull('ended_at')->orderByDesc('id'),
                self::COURSES,
            );
            foreach ($systems as $system) {
                $standing = $this->states->of($system, $water[$system->id], $dosed, $versions[$system->id] ?? '');
                array_push(
                    $items,
                    ...$this->tested($system, $water[$system->id], $standing->state?->value, $seen[$system->id]),
                    ...$this->served($system, $water[$system->id], $books[$system->id]),
                    ...$this->dosed($system, $water[$system->id], $courses[$system->id]),
                    ...$this->held($system, $water[$system->id]),
                );
            }
        }
        $items = array_filter($items, static fn(CalendarItem $one): bool => $one->at->lte($until));
        usort($items, static fn(CalendarItem $a, CalendarItem $b): int => [$a->at, $a->key] <=> [$b->at, $b->key]);

        return $items;
    }

    /**
     * Tests that are due at the same time stand together.
     *
     * @param  array{month_ago_c: ?float, washed_h: ?float, dawn: array<string, Carbon>}  $seen
     * @return list<CalendarItem>
     */
    private function tested(System $system, LatestWater $water, ?string $state, array $seen): array
    {
        $together = [];
        foreach ($this->tests->of($system, $water, $state, $seen)['tests'] as $test) {
            $left = $test['last_h'] === null ? 0.0 : $test['every_h'] - $test['last_h'];
            $at = Carbon::now()->addMinutes((int) round(60 * $left));
            $day = $at->copy()->setTimezone($system->site->timezone)->toDateString();
            $together["{$day} {$test['every_h']}"][] = [$test, $at];
        }
        $items = [];
        foreach ($together as $tests) {
            $names = array_map(
                static fn(array $one): string => Parameter::from($one[0]['parameter'])->inSentence() .
                    ($one[0]['dawn'] ? ' at dawn' : ''),
                $tests,
            );
            $items[] = new CalendarItem(
                key: "test {$system->id} " . implode(' ', array_column(array_column($tests, 0), 'parameter')),
                kind: 'test',
                system: $system,
                text: 'Test ' . implode(', ', $names),
                at: min(array_column($tests, 1)),
                everyD: $tests[0][0]['every_h'] / 24,
                minutes: 15,
            );
        }

        return $items;
    }

    /** @return list<CalendarItem> */
    private function served(System $system, LatestWater $water, ServiceBook $book): array
    {
        $items = [];
        foreach ($this->jobs->of($system, $water, $book) as $one) {
            $at = $one->due->now() && $one->dueOn() === null ? Carbon::now() : $one->dueOn();
            if ($at !== null) {
                $items[] = new CalendarItem(
                    key: "service {$one->job->id} {$one->part->id}",
                    kind: 'service',
                    system: $system,
                    text: "{$one->part->name}: " . lcfirst($one->job->name),
                    at: $one->due->now() && $at->isFuture() ? Carbon::now() : $at,
                    everyD: $one->due->everyD,
                    minutes: (int) round($one->job->minutes),
                );
            }
        }

        return $items;
    }

    /**
     * @param  Collection<int, Course>  $courses
     * @return list<CalendarItem>
     */
    private function dosed(System $system, LatestWater $water, Collection $courses): array
    {
        $items = [];
        foreach ($courses as $course) {
            $plan = $this->courses->plan($course, $water->valueOrAssumed(Parameter::Temperature));
            $first = $course->doses->first()->given_at ?? $course->started_at;
            foreach ($plan->doses as $dose) {
                if ($dose['state'] !== 'given') {
                    $items[] = new CalendarItem(
                        key: "dose {$course->id} {$dose['n']}",
                        kind: 'dose',
                        system: $system,
                        text: $this->agents->get($course->thing)->name . ": dose {$dose['n']} of {$course->repeats}",
                        at: $first->copy()->addMinutes((int) round(1440 * $dose['day'])),
                        minutes: 15,
                    );
                }
            }
        }

        return $items;
    }

    /** @return list<CalendarItem> the day on which a quarantine is over */
    private function held(System $system, LatestWater $water): array
    {
        $since = $system->kind === 'quarantine' && $system->fish->isNotEmpty() ? QuarantineOf::since($system) : null;
        if ($since === null) {
            return [];
        }
        $days = $this->quarantine
            ->length($system, $water, QuarantineOf::protocol($system), QuarantineOf::day($system, $since))
            ->number('days');
        $ends = $since->copy()->addDays((int) ceil($days))->setTime(12, 0);

        // What was over long ago is no news.
        return $ends->isBefore(Carbon::now()->subDay())
            ? []
            : [
                new CalendarItem(
                    key: "quarantine {$system->id}",
                    kind: 'quarantine',
                    system: $system,
                    text: Message::of('arrival.gate_ends')->text,
                    at: $ends->utc(),
                ),
            ];
    }

    /** @return list<CalendarItem> */
    private function expiring(Site $site): array
    {
        $items = [];
        foreach (
            [
                ...Good::query()->where('site_id', $site->id)->whereNotNull('expires_on')->get(),
                ...Kit::query()->where('site_id', $site->id)->whereNotNull('expires_on')->get(),
            ]
            as $one
        ) {
            if ($one->expires_on !== null) {
                $items[] = new CalendarItem(
                    key: "expiry {$one->id}",
                    kind: 'expiry',
                    system: null,
                    text: "{$one->name} expires",
                    at: Carbon::parse($one->expires_on->toDateString() . ' 12:00', $site->timezone)->utc(),
                );
            }
        }

        return $items;
    }
}
