<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The flows of a system as built, and taking them over into its capacity. */
final class PlumbingController extends Controller
{
    public function __construct(private readonly PlumbingReport $report) {}

    public function show(System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    /** The same, with something changed that nobody has built. Nothing is kept. */
    public function whatIf(Request $request, System $system, PlumbingWhatIf $whatIf): JsonResponse
    {
        $system->unsetRelations();
        $whatIf->apply($system, $request->only(['line', 'bore_mm', 'valve_open_pct', 'share_pct', 'second', 'pump']));

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    public function shut(ShutRequest $request, System $system, string $id, ShutOffBay $bay): JsonResponse
    {
        $system->unsetRelations();
        $vessel = $request->vessel($system);
        if ($request->shut()) {
            $bay->shut($system, $vessel, $this->person($request));
        } else {
            $bay->open($system, $vessel);
        }

        return $this->show($system->refresh());
    }

    public function adopt(System $system, AdoptSolvedFlows $adopt): JsonResponse
    {
        $system->unsetRelations();
        $adopt->adopt($system, $this->report->stageFlows($system, LatestWater::of($system)));

        return $this->show($system->refresh());
    }
}
