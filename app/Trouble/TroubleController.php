<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;

/** What to do about bad readings and what is seen. */
final class TroubleController extends Controller
{
    public function __invoke(SignsRequest $request, System $system, TroubleReport $report): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($report->of($system, LatestWater::of($system), $request->seen()));
    }
}
