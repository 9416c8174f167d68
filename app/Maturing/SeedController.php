<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Http\Controller;
use App\Models\Seed;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Seeds: booked, and undone. */
final class SeedController extends Controller
{
    public function __construct(private readonly BookSeed $seeds, private readonly MaturingReport $report) {}

    public function put(SeedRequest $request, System $system, string $id): JsonResponse
    {
        $this->seeds->book(strtoupper($id), $system, $this->person($request), $request->seed($system));

        return $this->standing($request, $system);
    }

    public function remove(Request $request, System $system, string $id): JsonResponse
    {
        $seed = Seed::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->first();
        if ($seed !== null) {
            $this->seeds->undo($seed);
        }

        return $this->standing($request, $system);
    }

    private function standing(Request $request, System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($this->report->of($system, LatestWater::of($system), (array) $request->query()));
    }
}
