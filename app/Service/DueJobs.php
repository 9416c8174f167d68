<?php

declare(strict_types=1);

namespace App\Service;

use App\Models\FishGroup;
use App\Models\OwnJob;
use App\Models\Service;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TestSchedule;
use Ironwort\Core\Service\Due;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\JobTable;
use Ironwort\Core\Service\ServiceWater;
use Ironwort\Core\Service\Wear;
use Ironwort\Core\Service\YearSeason;

/** Every job of a system with how it stands: one rule for the round, the calendar and the page of the part. */
final readonly class DueJobs
{
    public const OWN = 'own:';

    /** The school that washes by the calendar, or waits until it slows. */
    private const TOPIC = 'service_when';

    public function __construct(private JobTable $jobs, private LimitsInForce $judging) {}

    /** @return list<DueJob> */
    public function of(System $system, LatestWater $water, ServiceBook $book): array
    {
        $known = self::water($system, $water, $book);
        $waits = $this->judging->following($system)->in(self::TOPIC)->figure('waits') > 0;
        $all = [];
        foreach (ServicedPart::all($system) as $part) {
            foreach ($this->jobsOf($part, $book) as $job) {
                if (($job->once !== null && $job->once !== $known->season) || !$this->followed($system, $job)) {
                    continue;
                }
                $one = $this->job($job, $part, $known, $book, $waits);
                if ($one !== null) {
                    $all[] = $one;
                }
            }
        }

        return $all;
    }

    /** The time of the year by the water; null where that has none, or nobody knows. */
    public function season(System $system, LatestWater $water, ServiceBook $book): ?YearSeason
    {
        return self::water($system, $water, $book)->season;
    }

    /** Whether it is done by the schools that are followed here. */
    public function followed(System $system, Job $job): bool
    {
        foreach ($job->schools as $topic => $school) {
            if ($this->judging->following($system)->in($topic)->id !== $school) {
                return false;
            }
        }

        return true;
    }

    /** @return list<Job> once a year, in their time of it, by the schools that are followed */
    public function ofTheYear(System $system): array
    {
        return array_values(
            array_filter(
                $this->jobs->of('system'),
                fn(Job $job): bool => $job->once !== null && $this->followed($system, $job),
            ),
        );
    }

    public static function own(OwnJob $own): Job
    {
        return new Job(
            id: self::OWN . $own->id,
            name: $own->name,
            on: [],
            everyD: $own->every_d,
            in: [],
            minutes: $own->minutes,
            hours: null,
            washes: 0.0,
            deed: null,
            flushS: null,
            litresMin: 0.0,
            cleans: false,
            steps: 'own',
            tools: [],
            not: [],
            bySeason: false,
            byFeed: false,
            source: 'cp-service',
        );
    }

    /** @return list<Job> of the table, and the keeper's own */
    public function jobsOf(ServicedPart $part, ServiceBook $book): array
    {
        return [
            ...$this->jobs->of(...$part->kinds),
            ...array_values(
                array_map(
                    self::own(...),
                    array_filter($book->jobs, static fn(OwnJob $one): bool => $one->part_id === $part->id),
                ),
            ),
        ];
    }

    /** @return list<Job> of a whole system, that nothing makes due */
    public function big(): array
    {
        return $this->jobs->of('big');
    }

    /** The job a form names on a part; null where that part has no such job. */
    public function named(ServicedPart $part, ServiceBook $book, mixed $id): ?Job
    {
        $big = $part->kind === 'system' ? $this->big() : [];
        foreach ([...$this->jobsOf($part, $book), ...$big] as $job) {
            if ($job->id === $id) {
                return $job;
            }
        }

        return null;
    }

    private function job(Job $job, ServicedPart $part, ServiceWater $water, ServiceBook $book, bool $waits): ?DueJob
    {
        // Said not to be done here.
        if ($book->set($job->id, $part->id) && $book->own($job->id, $part->id) === null) {
            return null;
        }
        $last = $book->last($job->id, $part->id);
        $done = self::later($last?->ended_at, self::told($job, $part));
        $wear = new Wear(
            ownD: $book->own($job->id, $part->id),
            hours: self::hours($job, $part),
            blocksD: self::blocks($part),
            fouledPct: $part->part instanceof Stage ? $part->part->fouling_pct : null,
            flowShare: self::flowShare($last, $book, $part),
            onlyWhenSlow: $waits,
        );
        // What wears by its hours ages only while it runs.
        $since = match (true) {
            $wear->hours !== null => $wear->hours / 24,
            $done === null => null,
            default => max(0.0, $done->diffInMinutes(Carbon::now()) / 1440),
        };

        return new DueJob(
            $job,
            $part,
            Due::of($job, $this->jobs, $water, $since, $wear),
            $done,
            $book->runs($job->id, $part->id),
            str_starts_with($job->id, self::OWN),
        );
    }

    private static function water(System $system, LatestWater $water, ServiceBook $book): ServiceWater
    {
        $reading = $water->get(Parameter::Temperature);
        $known = $reading !== null && $reading->ageH() <= 24 * TestSchedule::KNOWN_FOR_D ? $reading->value : null;
        $biomass = $system->fish->sum(
            static fn(FishGroup $group): float => $group->count *
                Condition::weight($group->length_cm, $group->condition),
        );

        return new ServiceWater(
            $system->kind,
            $known,
            $biomass > 0 && $book->feedG !== null ? (100 * $book->feedG) / $biomass : null,
            // What is kept by a heater has no seasons.
            $system->kind === 'display' ? YearSeason::of($known, $book->monthAgoC) : null,
        );
    }

    /** What the part itself tells of when it was done: its own dates, older than any book of service. */
    private static function told(Job $job, ServicedPart $part): ?Carbon
    {
        $stage = $part->part;

        return !($stage instanceof Stage)
            ? null
            : match (true) {
                $job->id === 'wipe_sleeve' => $stage->sleeve_wiped_on,
                $job->id === 'change_lamp' => $stage->lamp_fitted_on,
                $job->cleans => $stage->cleaned_on,
                default => null,
            };
    }

    private static function later(?Carbon $one, ?Carbon $other): ?Carbon
    {
        return $one !== null && $other !== null ? $one->max($other) : $one ?? $other;
    }

    private static function hours(Job $job, ServicedPart $part): ?float
    {
        $stage = $part->part;

        return $job->hours !== null && $stage instanceof Stage && $stage->lamp_fitted_on !== null
            ? Switching::ranHours($stage->id, $stage->lamp_state, $stage->lamp_fitted_on)
            : null;
    }

    /** Days from one wash until half of it is buried, as it was seen to go last time. */
    public static function blocks(ServicedPart $part): ?float
    {
        $stage = $part->part;
        if (
            !($stage instanceof Stage) ||
            $stage->fouling_pct === null ||
            $stage->fouling_pct <= 0 ||
            $stage->cleaned_on === null ||
            $stage->fouling_seen_on === null
        ) {
            return null;
        }
        $days = $stage->cleaned_on->diffInDays($stage->fouling_seen_on);

        return $days < 1 ? null : ($days * Due::FOULED_PCT) / $stage->fouling_pct;
    }

    /** Flow as it was seen last, over the one after this job was done. */
    private static function flowShare(?Service $last, ServiceBook $book, ServicedPart $part): ?float
    {
        $seen = $book->flowSeen();
        $after = $last?->flow_l_h;

        return $part->part instanceof Stage &&
            $seen?->ended_at !== null &&
            $after > 0 &&
            $last->ended_at?->lt($seen->ended_at) === true
            ? (float) $seen->flow_l_h / $after
            : null;
    }
}
