<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\VesselChoice;
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
            ...$meaning->of($system, LatestWater::of($system), $typed->readings),
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
            VesselChoice::vessel($system, $request->input('vessel_id')),
            $this->corrected($request, $system),
            $request->spot(),
        );
        $visit->load(['readings', 'user', 'vessel']);

        return new JsonResponse(VisitResource::of($visit), $visit->wasRecentlyCreated ? 201 : 200);
    }

    /** The visit that this one is written in place of; it stays in the book, out of sight. */
    private function corrected(Request $request, System $system): ?Visit
    {
        $id = $request->input('corrects');
        if ($id === null || $id === '') {
            return null;
        }

        $query = Visit::query()->where('system_id', $system->id)->where('id', $id);
        $query->whereNull('withdrawn_at');

        return $query->first() ?? throw BadInput::at('corrects', 'That visit was corrected or taken back meanwhile.');
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
