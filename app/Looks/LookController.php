<?php

declare(strict_types=1);

namespace App\Looks;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;

/** Fish looked at one by one. */
final class LookController extends Controller
{
    public function __construct(private readonly LookReport $report) {}

    public function show(System $system): JsonResponse
    {
        $system->unsetRelations();

        return new JsonResponse($this->report->of($system, LatestWater::of($system)));
    }

    public function put(LookRequest $request, System $system, string $id, TakeLook $take): JsonResponse
    {
        $take->take($id, $request, $system, $this->person($request));

        return $this->show($system);
    }
}
