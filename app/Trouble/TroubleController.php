<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Http\Controller;
use App\Models\Incident;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Words\Message;

/** What to do about bad readings and what is seen, and how far it is done. */
final class TroubleController extends Controller
{
    public function __invoke(SignsRequest $request, System $system, TroubleReport $report): JsonResponse
    {
        $system->unsetRelations();
        $incident = Incident::open($system);
        // What somebody saw who opened it holds for whoever comes next.
        $seen = array_unique(
            [...array_filter(array_map(Sign::tryFrom(...), $incident->signs ?? [])), ...$request->seen()],
            SORT_REGULAR,
        );

        return new JsonResponse($report->of($system, LatestWater::of($system), array_values($seen), $incident));
    }

    public function refuges(System $system, Refuges $refuges): JsonResponse
    {
        $system->unsetRelations();

        $rows = $refuges->of($system, LatestWater::of($system));

        return new JsonResponse([
            'rows' => $rows,
            'none' => $rows === [] ? Message::of('incident.refuge_none')->toArray() : null,
        ]);
    }

    public function card(System $system, CardReport $card): JsonResponse
    {
        $system->unsetRelations()->load(['site', 'vessels', 'stages', 'pumps', 'junctions', 'lines', 'fish']);

        return new JsonResponse($card->of($system, LatestWater::of($system)));
    }
}
