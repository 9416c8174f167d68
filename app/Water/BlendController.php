<?php

declare(strict_types=1);

namespace App\Water;

use App\Http\Controller;
use App\Models\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Water made of two or three others, worked out for a system. Nothing is kept. */
final class BlendController extends Controller
{
    public function blend(Request $request, System $system, BlendReport $report): JsonResponse
    {
        return new JsonResponse($report->of($system, $this->typed($request)));
    }
}
