<?php

declare(strict_types=1);

namespace App\Water;

use App\Http\Controller;
use App\Models\MeterReading;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;

/** The meter in the pipe of new water, as it was read. */
final class MeterController extends Controller
{
    public function __construct(private readonly WaterReport $report) {}

    public function put(MeterRequest $request, System $system, string $id): JsonResponse
    {
        if (!MeterReading::query()->whereKey(strtoupper($id))->exists()) {
            MeterReading::query()->create([
                'id' => strtoupper($id),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
                'read_at' => $request->at($system),
                'litres' => $request->litres($system),
            ]);
        }

        return $this->show($system);
    }

    public function remove(System $system, string $id): JsonResponse
    {
        MeterReading::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => Carbon::now()]);

        return $this->show($system);
    }

    private function show(System $system): JsonResponse
    {
        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system), []));
    }
}
