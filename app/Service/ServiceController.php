<?php

declare(strict_types=1);

namespace App\Service;

use App\Http\Controller;
use App\Models\JobInterval;
use App\Models\OwnJob;
use App\Models\Service;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Service\Job;

/** Service of a system: what is due, runs step by step, and what was done. */
final class ServiceController extends Controller
{
    public function __construct(
        private readonly ServiceReport $report,
        private readonly DueJobs $due,
        private readonly RunService $runs,
        private readonly EndService $ends,
        private readonly SettingOf $settings,
        private readonly BigJobs $big,
    ) {}

    public function show(System $system): JsonResponse
    {
        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    /** A job of the whole system as it would be: where the fish stay, what goes in again, step by step. */
    public function big(ServiceRequest $request, System $system, string $job, BigReport $report): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($report->of($system, LatestWater::of($system), $job, (array) $request->query()));
    }

    /** The year here: its water month by month, what is fed in it, what is done in each season. */
    public function year(System $system, YearReport $report): JsonResponse
    {
        return new JsonResponse($report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    /** Ways to clear green water beside one another. */
    public function clear(System $system, ClearReport $report): JsonResponse
    {
        return new JsonResponse($report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    public function run(System $system, string $id): JsonResponse
    {
        return new JsonResponse($this->report->run($system->unsetRelations(), self::find($system, $id)));
    }

    /** Begins a run, or books a job that was done already. */
    public function put(ServiceRequest $request, System $system, string $id): JsonResponse
    {
        $known = Service::query()->find(strtoupper($id));
        if ($known !== null) {
            return $this->run($system, $id);
        }
        $part = $request->part($system->unsetRelations());
        $book = ServiceBook::of($system);
        $job = $this->due->named($part, $book, $request->job()) ?? throw BadInput::at('job', 'Choose the job.');
        $rinse = $request->rinse($this->report->rinse($system));
        $way = $request->way();
        $setting = $this->settings->part($system, LatestWater::of($system), $part, $way === 'told' ? null : $job);
        $at = $way === 'told' ? $request->at($system) : Carbon::now();
        $notes = $request->notes();
        $person = $this->person($request);
        if ($way !== 'told' && $book->runs($job->id, $part->id) !== null) {
            throw BadInput::at('job', 'It is begun already: go on with that run.');
        }
        $plan = $job->big()
            ? PlannedRun::whole(
                $job,
                $part,
                $setting,
                $this->big->work($system, LatestWater::of($system), $job, $request->big($job)),
            )
            : PlannedRun::part($job, $part, $setting, $way === 'stop', $rinse);
        $run = $this->runs->begin($id, $system, $person, $plan);
        if ($way === 'told') {
            $run->fill(['way' => 'told', 'steps' => [], 'started_at' => $at])->save();
            $this->ends->close($run, $system, $person, $job, $at, $notes);
        }

        return $this->run($system, $id);
    }

    public function tick(ServiceRequest $request, System $system, string $id, string $step): JsonResponse
    {
        $run = self::find($system, $id);
        $person = $this->person($request);
        $this->runs->tick($run, $system->unsetRelations(), $person, (int) $step, $request->done());

        return $this->run($system, $id);
    }

    public function flow(ServiceRequest $request, System $system, string $id): JsonResponse
    {
        $this->runs->flow(self::find($system, $id), $this->person($request), $request->flow());

        return $this->run($system, $id);
    }

    public function end(ServiceRequest $request, System $system, string $id): JsonResponse
    {
        $run = self::find($system, $id);
        $notes = $request->notes();
        $this->ends->end($run, $system->unsetRelations(), $this->person($request), $this->job($system, $run), $notes);

        return $this->run($system, $id);
    }

    /** Takes back a job that was done, or gives up one that was begun: what it switched off stays off, and is told. */
    public function remove(System $system, string $id): JsonResponse
    {
        $run = self::find($system, $id);
        if ($run->withdrawn_at === null) {
            $this->ends->undo($run, $system->unsetRelations());
        }

        return $this->show($system);
    }

    public function interval(OwnJobRequest $request, System $system): JsonResponse
    {
        $part = $request->part($system->unsetRelations());
        $job =
            $this->due->named($part, ServiceBook::of($system), $request->named()) ??
            throw BadInput::at('job', 'Choose the job.');
        $key = ['system_id' => $system->id, 'job' => $job->id, 'part_id' => $part->id];
        if ($request->usual()) {
            JobInterval::query()->where($key)->delete();
        } else {
            JobInterval::query()->updateOrCreate($key, [
                'site_id' => $system->site_id,
                'every_d' => $request->days(),
            ]);
        }

        return $this->show($system);
    }

    public function putOwn(OwnJobRequest $request, System $system, string $id): JsonResponse
    {
        $part = $request->part($system->unsetRelations());
        OwnJob::query()->updateOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$request->job(),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'part_kind' => $part->kind,
                'part_id' => $part->id,
            ],
        );

        return $this->show($system);
    }

    public function removeOwn(System $system, string $id): JsonResponse
    {
        OwnJob::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->delete();

        return $this->show($system);
    }

    private function job(System $system, Service $run): ?Job
    {
        foreach (ServicedPart::all($system) as $part) {
            if ($part->id === $run->part_id) {
                return $this->due->named($part, ServiceBook::of($system), $run->job);
            }
        }

        return null;
    }

    private static function find(System $system, string $id): Service
    {
        return Service::query()->with('user')->where('system_id', $system->id)->findOrFail(strtoupper($id));
    }
}
