<?php

declare(strict_types=1);

namespace App\Round;

use App\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The round of all systems. */
final class RoundController extends Controller
{
    public function __invoke(Request $request, RoundReport $report): JsonResponse
    {
        return new JsonResponse($report->of($this->person($request)->site));
    }
}
