<?php

declare(strict_types=1);

namespace App\Round;

use App\Http\Controller;
use App\Models\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The round of all systems. */
final class RoundController extends Controller
{
    public function __invoke(Request $request, RoundReport $report): JsonResponse
    {
        return new JsonResponse($report->of($this->person($request)->site, $this->person($request)));
    }

    /** The systems in the order in which somebody walks, which is how they stand on every page. */
    public function walk(WalkRequest $request, RoundReport $report): JsonResponse
    {
        $site = $this->person($request)->site;
        foreach ($request->order($site) as $position => $system) {
            System::query()
                ->whereKey($system->id)
                ->update(['position' => $position]);
        }

        return new JsonResponse($report->of($site, $this->person($request)));
    }
}
