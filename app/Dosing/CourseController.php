<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Http\Controller;
use App\Models\Course;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Dose\AfterCourse;
use Ironwort\Core\Dose\AgentTable;

/** Courses that run: their next dose, their end, and what follows it. */
final class CourseController extends Controller
{
    public function __construct(private readonly CourseReport $courses) {}

    public function show(System $system): JsonResponse
    {
        return new JsonResponse($this->courses->of($system->unsetRelations(), LatestWater::of($system)));
    }

    public function carryOn(
        DoseRequest $request,
        System $system,
        string $course,
        string $id,
        FollowCourse $follow,
    ): JsonResponse {
        $follow->carryOn($id, $system, $this->person($request), $course, $request->topUp(), $request->form());

        return $this->show($system);
    }

    public function stop(StopCourseRequest $request, System $system, string $course): JsonResponse
    {
        $found = $this->course($system, $course);
        $reason = $request->reason();
        if ($found->ended_at === null) {
            $found->fill(['ended_at' => Carbon::now(), 'end_reason' => $reason])->save();
        }

        return $this->show($system);
    }

    /** One step of the filter's return is done. */
    public function returned(System $system, string $course, string $step, AgentTable $agents): JsonResponse
    {
        DB::transaction(function () use ($system, $course, $step, $agents): void {
            $found = $this->course($system, $course);
            if (!isset(AfterCourse::steps($agents->get($found->thing))[$step])) {
                throw BadInput::at('step', 'There is no such step.');
            }
            $found->returned = array_values(array_unique([...$found->returned, $step]));
            $found->save();
        });

        return $this->show($system);
    }

    private function course(System $system, string $id): Course
    {
        $query = Course::query()
            ->with(['doses', 'vessel'])
            ->where('system_id', $system->id);

        return $query->findOrFail(strtoupper($id));
    }
}
