<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;

/** Load against capacity, in today's water or in water typed on the page. */
final class CapacityController extends Controller
{
    public function __invoke(CapacityRequest $request, System $system, CapacityReport $report): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse([
            'slug' => $system->slug,
            'name' => $system->name,
            ...$report->of($system, LatestWater::of($system), $request->conditions())->toArray(),
        ]);
    }
}
