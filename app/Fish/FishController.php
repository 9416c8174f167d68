<?php

declare(strict_types=1);

namespace App\Fish;

use App\Build\BuildResource;
use App\Build\PartRequest;
use App\Build\SavePart;
use App\Http\Controller;
use App\Models\Feed;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Words\Message;

/** The fish of a system: measuring them, moving them, losing them, feeding them. */
final class FishController extends Controller
{
    public function __construct(private readonly FishReport $report, private readonly FishInputs $fish) {}

    public function show(System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    /** A group as the build page keeps it; the answer is the whole build as it then stands. */
    public function put(PartRequest $request, System $system, string $id, SavePart $parts): JsonResponse
    {
        $columns = [...$request->validated(), ...$this->fish->group($system, $request->all())];
        $parts->save(FishGroup::class, $system, $id, $columns, $request->seen());

        return new JsonResponse(BuildResource::of($system->unsetRelations()));
    }

    /** A new measurement is how they stand from now on, unless a later one is there. */
    public function measure(Request $request, System $system, string $group, string $id): JsonResponse
    {
        $found = $this->group($system, $group);
        $measure = $this->fish->measure($system, $request->all());
        FishMeasure::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$measure,
                'site_id' => $system->site_id,
                'fish_group_id' => $found->id,
                'user_id' => $this->person($request)->id,
            ],
        );
        if (
            !FishMeasure::query()
                ->where('fish_group_id', $found->id)
                ->where('measured_on', '>', $measure['measured_on'])
                ->exists()
        ) {
            $found->fill($this->fish->sized($measure, $found->condition))->save();
        }

        return $this->show($system);
    }

    /** The water they would go to beside the one they leave. */
    public function move(LeaveRequest $request, System $system, MoveReport $moves): JsonResponse
    {
        return new JsonResponse($moves->of($system, $request->destination($system)));
    }

    public function leave(
        LeaveRequest $request,
        System $system,
        string $group,
        string $kind,
        string $id,
        FishLeave $leave,
        MoveReport $moves,
    ): JsonResponse {
        $found = $this->group($system, $group);
        $leaving = $this->fish->leaving($system, $request->all(), $found->count);
        $to = $request->to($system);
        if ($to !== null && $leaving['reason'] === null && $moves->of($system, $to)['why']) {
            $why = Message::of('fish.move_say_why');
            throw BadInput::at('reason', $why->text, [$why->code]);
        }
        $leave->leave(strtoupper($id), $found, $kind, $leaving, $this->person($request), $to);

        return $this->show($system->refresh());
    }

    /** The plan from today on; earlier ones stay as they were. */
    public function plan(Request $request, System $system, FeedInputs $feed): JsonResponse
    {
        FeedFigure::query()->updateOrCreate(
            ['system_id' => $system->id, 'since' => now($system->site->timezone)->toDateString()],
            [...$feed->plan($request->all()), 'site_id' => $system->site_id, 'user_id' => $this->person($request)->id],
        );

        return $this->show($system);
    }

    public function feed(Request $request, System $system, string $id, FeedInputs $feed): JsonResponse
    {
        Feed::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$feed->given($request->all()),
                'fed_at' => Carbon::now(),
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
