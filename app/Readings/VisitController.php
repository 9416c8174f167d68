<?php

declare(strict_types=1);

namespace App\Readings;

use App\Http\Controller;
use App\Models\Kit;
use App\Models\System;
use App\Models\Visit;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
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

    public function one(Request $request, string $visit): JsonResponse
    {
        $found = Visit::query()->where('site_id', $this->person($request)->site_id)->findOrFail(strtoupper($visit));

        return new JsonResponse(VisitResource::of($found->load(['readings', 'user', 'vessel'])));
    }

    /** What the rows typed so far mean. Nothing is kept, and rows that cannot be read spoil no other row. */
    public function meaning(Request $request, System $system, WaterMeaning $meaning): JsonResponse
    {
        $system->load('site');
        $typed = new ReadTypedReadings(VisitRequest::rows($request), Kit::inUse($system->site));

        return new JsonResponse([
            ...$meaning->of($system, LatestWater::of($system), $typed->readings)->toArray(),
            'errors' => (object) $typed->errors,
        ]);
    }

    public function store(VisitRequest $request, System $system, BookVisit $book): JsonResponse
    {
        $typed = new ReadTypedReadings(VisitRequest::rows($request), Kit::inUse($system->site));
        if ($typed->errors !== []) {
            throw new BadInput($typed->errors);
        }
        $visit = $book->book(
            $request->id(),
            $system,
            $this->person($request),
            $request->takenAt($system->site->timezone),
            $typed->readings,
            $typed->rows,
            $request->vessel($system),
            $request->corrected($system),
            $request->spot(),
        );
        $visit->load(['readings', 'user', 'vessel']);

        return new JsonResponse(VisitResource::of($visit), $visit->wasRecentlyCreated ? 201 : 200);
    }

    public function destroy(Request $request, string $visit, WithdrawVisit $withdraw): Response
    {
        $person = $this->person($request);
        $found = Visit::query()->where('site_id', $person->site_id)->findOrFail($visit);
        $found->system->hold();
        $withdraw->withdraw($found, $person);

        return response()->noContent();
    }
}
