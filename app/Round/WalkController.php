<?php

declare(strict_types=1);

namespace App\Round;

use App\Http\Controller;
use App\Models\Round;
use App\Models\System;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A round as it is walked by one person after another. */
final class WalkController extends Controller
{
    public function __construct(private readonly RoundWork $work, private readonly RoundsReport $rounds) {}

    public function show(Request $request): JsonResponse
    {
        return $this->answer($request);
    }

    public function begin(Request $request, string $id): JsonResponse
    {
        $this->work->begin($id, $this->person($request));

        return $this->answer($request);
    }

    public function skip(RoundRequest $request, System $system, string $round): JsonResponse
    {
        $this->work->skip($this->mine($request, $round), $system, $this->person($request), $request->why());

        return $this->answer($request);
    }

    public function unskip(Request $request, System $system, string $round): JsonResponse
    {
        $this->work->unskip($this->mine($request, $round), $system);

        return $this->answer($request);
    }

    public function pass(RoundRequest $request, string $id): JsonResponse
    {
        $round = $this->mine($request, $id);
        $this->work->pass($round, $this->person($request), $request->to($round), $request->note(300));

        return $this->answer($request);
    }

    public function finish(RoundRequest $request, string $id): JsonResponse
    {
        $this->work->finish($this->mine($request, $id), $this->person($request), $request->note(500));

        return $this->answer($request);
    }

    /** A round of this person; of anybody else's site there is none. */
    private function mine(Request $request, string $id): Round
    {
        $person = $this->person($request);

        return Round::query()
            ->where('site_id', $person->site_id)
            ->where('user_id', $person->id)
            ->findOrFail(strtoupper($id));
    }

    private function answer(Request $request): JsonResponse
    {
        return new JsonResponse($this->rounds->of($this->person($request)));
    }
}
