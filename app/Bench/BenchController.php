<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Working something out for one system, with what the book knows filled in. Nothing is kept. */
final class BenchController extends Controller
{
    public function show(Request $request, System $system, string $bench, BenchReport $report): JsonResponse
    {
        $found = BenchTable::find($bench) ?? abort(404);

        return new JsonResponse(
            $report->of($found, $system->unsetRelations(), LatestWater::of($system), $this->typed($request))->toArray(),
        );
    }
}
