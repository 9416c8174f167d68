<?php

declare(strict_types=1);

namespace App\Maturing;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Where a start stands and when it will be ready. */
final class MaturingController extends Controller
{
    public function __invoke(Request $request, System $system, MaturingReport $report): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($report->of($system, LatestWater::of($system), (array) $request->query()));
    }
}
