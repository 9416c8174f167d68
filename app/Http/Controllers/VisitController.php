<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BookVisit;
use App\Actions\Inside;
use App\Actions\ReadTypedReadings;
use App\Actions\WithdrawVisit;
use App\Http\Requests\VisitRequest;
use App\Http\Resources\VisitResource;
use App\Models\System;
use App\Models\Visit;
use App\Reports\LatestWater;
use App\Reports\WaterMeaning;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Ironwort\Core\Calc\BadInput;

/** Testing the water: what typed readings mean, booking them, taking a booking back. */
final class VisitController extends Controller
{
    private const PER_PAGE = 25;

    public function index(System $system): JsonResponse
    {
        $page = Visit::bookedAt($system)->cursorPaginate(self::PER_PAGE);

        return new JsonResponse([
            'visits' => array_map(VisitResource::of(...), $page->items()),
            'next' => $page->nextCursor()?->encode(),
        ]);
    }

    /** What the rows typed so far mean. Nothing is kept, and rows that cannot be read spoil no other row. */
    public function meaning(Request $request, System $system, WaterMeaning $meaning): JsonResponse
    {
        $typed = new ReadTypedReadings(VisitRequest::rows($request));
        $system->load('site');

        return new JsonResponse([
            ...$meaning->of($system, LatestWater::of($system), $typed->readings),
            'errors' => (object) $typed->errors,
        ]);
    }

    public function store(VisitRequest $request, System $system, BookVisit $book): JsonResponse
    {
        $typed = new ReadTypedReadings(VisitRequest::rows($request));
        if ($typed->errors !== []) {
            throw new BadInput($typed->errors);
        }
        $visit = $book->book($request->id(), $system, $this->person($request), $request->takenAt($system->site->timezone), $typed->readings, $typed->rows, Inside::vessel($system, $request->input('vessel_id')));
        $visit->load(['readings', 'user', 'vessel']);

        return new JsonResponse(VisitResource::of($visit), $visit->wasRecentlyCreated ? 201 : 200);
    }

    public function destroy(Request $request, string $visit, WithdrawVisit $withdraw): Response
    {
        Gate::authorize('write');
        $person = $this->person($request);
        $found = Visit::query()->where('site_id', $person->site_id)->findOrFail($visit);
        $withdraw->withdraw($found, $person);

        return response()->noContent();
    }
}
