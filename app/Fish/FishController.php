<?php

declare(strict_types=1);

namespace App\Fish;

use App\Build\BuildResource;
use App\Build\SavePart;
use App\Http\Controller;
use App\Http\MadeAt;
use App\Models\Feed;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;

/** The fish of a system: measuring them, moving them, losing them, feeding them. */
final class FishController extends Controller
{
    public function __construct(private readonly FishReport $report) {}

    public function show(System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    /** A group as the build page keeps it; the answer is the whole build as it then stands. */
    public function put(GroupRequest $request, System $system, string $id, SavePart $parts): JsonResponse
    {
        $parts->save(FishGroup::class, $system, $id, $request->columns($system), $request->seen());

        return new JsonResponse(BuildResource::of($system->unsetRelations()));
    }

    public function measure(
        MeasureRequest $request,
        System $system,
        string $group,
        string $id,
        TakeMeasure $take,
    ): JsonResponse {
        $take->ofGroup($id, $this->group($system, $group), $request->measure($system), $this->person($request));

        return $this->show($system);
    }

    /** The plan from today on; earlier ones stay as they were. */
    public function plan(FeedPlanRequest $request, System $system): JsonResponse
    {
        FeedFigure::query()->updateOrCreate(
            ['system_id' => $system->id, 'since' => now($system->site->timezone)->toDateString()],
            [...$request->columns(), 'site_id' => $system->site_id, 'user_id' => $this->person($request)->id],
        );

        return $this->show($system);
    }

    public function feed(FeedRequest $request, System $system, string $id): JsonResponse
    {
        Feed::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$request->columns(),
                'fed_at' => MadeAt::now(),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
            ],
        );

        return $this->show($system);
    }

    public function withdrawFeed(System $system, string $id): JsonResponse
    {
        Feed::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => now()]);

        return $this->show($system);
    }

    private function group(System $system, string $id): FishGroup
    {
        $system->load('site');

        return FishGroup::query()->where('system_id', $system->id)->findOrFail(strtoupper($id));
    }
}
