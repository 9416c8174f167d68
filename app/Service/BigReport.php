<?php

declare(strict_types=1);

namespace App\Service;

use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\Step;

/** The page of a job that empties or fills a whole system. */
final readonly class BigReport
{
    public function __construct(
        private DueJobs $jobs,
        private BigJobs $big,
        private SettingOf $settings,
        private LimitsInForce $judging,
    ) {}

    /** @return list<array{id: string, name: string, open: ?string}> */
    public function all(System $system, ServiceBook $book): array
    {
        return array_map(
            static fn(Job $job): array => [
                'id' => $job->id,
                'name' => $job->name,
                'open' => $book->runs($job->id, $system->id)?->id,
            ],
            $this->jobs->big(),
        );
    }

    /**
     * @param  array<array-key, mixed>  $typed  as `BigAsked` reads it
     * @return array<string, mixed>
     *
     * @throws ModelNotFoundException
     */
    public function of(System $system, LatestWater $water, string $id, array $typed): array
    {
        $part = ServicedPart::named($system, "system:{$system->id}");
        $book = ServiceBook::of($system);
        $job = $this->jobs->named($part, $book, $id);
        if ($job === null || !$job->big()) {
            throw new ModelNotFoundException();
        }
        $errors = [];
        try {
            $asked = BigAsked::read($job, $typed);
        } catch (BadInput $bad) {
            $errors = $bad->errors;
            $asked = BigAsked::read($job, []);
        }
        $work = $this->big->work($system, $water, $job, $asked);
        $plan = PlannedRun::whole($job, $part, $this->settings->part($system, $water, $part, $job), $work);
        $school = $job->steps === 'drain' ? $this->judging->following($system)->in('clean_out') : null;

        return [
            'id' => $job->id,
            'name' => $job->name,
            'part' => "system:{$system->id}",
            'tools' => $job->tools,
            'school' => $school === null ? null : ['name' => $school->name, 'says' => $school->says],
            'hours' => $work->hours,
            'keep_pct' => $asked->keptPct,
            'volume_l' => $work->volumeL,
            'refill_l' => $work->refillL(),
            'fish_kg' => $work->fishKg,
            'tub_l' => $work->tubL,
            'least_tub_l' => $work->leastTold(),
            'stays_h' => $work->staysH,
            'airless_min' => $work->airlessMin,
            'steps' => array_map(
                static fn(Step $step): array => [...$step->message->toArray(), 'caution' => $step->caution],
                $plan->steps,
            ),
            'open' => $book->runs($job->id, $system->id)?->id,
            'errors' => (object) $errors,
        ];
    }
}
