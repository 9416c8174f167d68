<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\System;
use App\Reports\LatestWater;
use App\Reports\PlumbingReport;
use Illuminate\Http\JsonResponse;

/** The flows of a system as built. */
final class PlumbingController extends Controller
{
    public function __invoke(System $system, PlumbingReport $report): JsonResponse
    {
        $system->load(['site', 'vessels', 'stages', 'pumps', 'lines']);

        return new JsonResponse($report->of($system, LatestWater::of($system)));
    }
}
