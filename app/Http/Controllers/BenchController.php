<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Benches\BenchReport;
use App\Benches\BenchTable;
use App\Benches\BlendBench;
use App\Models\System;
use App\Reports\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Working something out for one system, with what the book knows filled in. Nothing is kept. */
final class BenchController extends Controller
{
    public function show(Request $request, System $system, string $bench, BenchReport $report): JsonResponse
    {
        $found = BenchTable::find($bench) ?? abort(404);

        return new JsonResponse(
            $report->of($found, self::loaded($system), LatestWater::of($system), self::typed($request)),
        );
    }

    public function blend(Request $request, System $system, BlendBench $blend): JsonResponse
    {
        return new JsonResponse($blend->of(self::loaded($system), self::typed($request)));
    }

    private static function loaded(System $system): System
    {
        return $system->load(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish', 'ownLimits', 'schools']);
    }

    /** @return array<array-key, mixed> */
    private static function typed(Request $request): array
    {
        $typed = $request->query('typed');

        return is_array($typed) ? $typed : (array) $request->query();
    }
}
