<?php

declare(strict_types=1);

namespace App\Running;

use App\Http\Controller;
use App\Models\Switching;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What runs in a system, switched by one press. */
final class RunningController extends Controller
{
    public function __construct(private readonly RunningReport $report, private readonly SwitchThing $switches) {}

    public function show(System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    public function put(SwitchRequest $request, System $system, string $id): JsonResponse
    {
        $this->switches->switch(
            strtoupper($id),
            $system,
            $this->person($request),
            $request->part($system),
            $request->state(),
            $request->at($system),
            $request->reason(),
            $request->lentTo($system),
        );

        return $this->show($system);
    }

    public function remove(Request $request, System $system, string $id): JsonResponse
    {
        $row = Switching::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->whereNull('withdrawn_at')
            ->first();
        if ($row !== null) {
            $this->switches->undo($row, $system);
        }

        return $this->show($system);
    }
}
