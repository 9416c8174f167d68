<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdoptSolvedFlows;
use App\Models\System;
use App\Reports\LatestWater;
use App\Reports\PlumbingReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

/** The flows of a system as built, and taking them over into its capacity. */
final class PlumbingController extends Controller
{
    public function __construct(private readonly PlumbingReport $report)
    {
    }

    public function show(System $system): JsonResponse
    {
        $system->load(['site', 'vessels', 'stages', 'pumps', 'lines']);

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    public function adopt(System $system, AdoptSolvedFlows $adopt): JsonResponse
    {
        Gate::authorize('write');
        $system->load(['site', 'vessels', 'stages', 'pumps', 'lines']);
        $adopt->adopt($system, $this->report->stageFlows($system, LatestWater::of($system)));

        return $this->show($system->refresh());
    }
}
