<?php

declare(strict_types=1);

namespace App\Report;

use App\Http\Controller;
use App\Http\CsvAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Survival and losses: on the screen, on paper, and as CSV. */
final class LossController extends Controller
{
    public function __construct(private readonly LossReport $report) {}

    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->report->of($this->person($request)->site));
    }

    public function csv(Request $request): Response
    {
        return CsvAnswer::of(
            'losses',
            ['row', 'day or month', 'from', 'system', 'came', 'dead on arrival', 'died', 'sold', 'alive'],
            $this->report->rows($this->person($request)->site),
        );
    }
}
