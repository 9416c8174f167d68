<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdoptSolvedFlows;
use App\Actions\ShutOffBay;
use App\Builds\PlumbingWhatIf;
use App\Models\System;
use App\Models\Vessel;
use App\Reports\LatestWater;
use App\Reports\PlumbingReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Ironwort\Core\Calc\BadInput;

/** The flows of a system as built, and taking them over into its capacity. */
final class PlumbingController extends Controller
{
    public function __construct(private readonly PlumbingReport $report) {}

    public function show(System $system): JsonResponse
    {
        $system->load(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish', 'shutOffs']);

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    /** The same, with something changed that nobody has built. Nothing is kept. */
    public function whatIf(Request $request, System $system, PlumbingWhatIf $whatIf): JsonResponse
    {
        $system->load(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish', 'shutOffs']);
        $whatIf->apply($system, $request->only(['line', 'bore_mm', 'valve_open_pct', 'second', 'pump']));

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    public function shut(Request $request, System $system, string $id, ShutOffBay $bay): JsonResponse
    {
        Gate::authorize('write');
        /** @var array{shut: bool} $given */
        $given = $request->validate(
            ['shut' => ['required', 'boolean']],
            ['shut.required' => 'Say whether it is shut off.'],
        );
        $system->load(['site', 'vessels', 'lines']);
        $vessel = $system->vessels->firstWhere('id', strtoupper($id));
        if (!($vessel instanceof Vessel)) {
            throw BadInput::at('id', 'There is no such vessel here.');
        }
        if ($given['shut']) {
            $bay->shut($system, $vessel, $this->person($request));
        } else {
            $bay->open($system, $vessel);
        }

        return $this->show($system->refresh());
    }

    public function adopt(System $system, AdoptSolvedFlows $adopt): JsonResponse
    {
        Gate::authorize('write');
        $system->load(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish', 'shutOffs']);
        $adopt->adopt($system, $this->report->stageFlows($system, LatestWater::of($system)));

        return $this->show($system->refresh());
    }
}
