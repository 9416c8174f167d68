<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\System;
use App\Reports\LatestWater;
use App\Reports\MaturingReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Where a start stands and when it will be ready. */
final class MaturingController extends Controller
{
    public function __invoke(Request $request, System $system, MaturingReport $report): JsonResponse
    {
        $system->load(['site', 'vessels', 'stages', 'fish']);

        return new JsonResponse($report->of($system, LatestWater::of($system), (array) $request->query()));
    }
}
