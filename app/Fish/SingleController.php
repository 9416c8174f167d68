<?php

declare(strict_types=1);

namespace App\Fish;

use App\Http\Controller;
use App\Models\SingleFish;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;

/** Single fish: named, measured, and what became of them. */
final class SingleController extends Controller
{
    public function __construct(private readonly SingleReport $report) {}

    public function show(System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse(['fish' => $this->report->of($system, LatestWater::of($system))]);
    }

    public function put(SingleRequest $request, System $system, string $id): JsonResponse
    {
        $fish = SingleFish::query()->find(strtoupper($id)) ?? new SingleFish(['id' => strtoupper($id)]);
        $fish->fill([...$request->columns($system), 'site_id' => $system->site_id, 'system_id' => $system->id])->save();

        return $this->show($system);
    }

    public function measure(
        MeasureRequest $request,
        System $system,
        string $single,
        string $id,
        TakeMeasure $take,
    ): JsonResponse {
        $system->load('site');
        $fish = SingleFish::query()->where('system_id', $system->id)->findOrFail(strtoupper($single));
        $take->ofSingle($id, $fish, $request->measure($system), $this->person($request));

        return $this->show($system);
    }
}
