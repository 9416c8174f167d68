<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Http\Controller;
use App\Models\Incident;
use App\Models\IncidentTick;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Incident\Sign;

/** Trouble as work: opened, worked through by whoever is there, closed with its cause. */
final class IncidentController extends Controller
{
    public function __construct(
        private readonly IncidentWork $work,
        private readonly IncidentReport $report,
        private readonly TroubleReport $trouble,
    ) {}

    public function index(System $system): JsonResponse
    {
        $incidents = Incident::query()->where('system_id', $system->id)->orderByDesc('opened_at')->limit(50)->get();

        return new JsonResponse(
            array_values(
                $incidents
                    ->map(
                        static fn(Incident $one): array => [
                            'id' => $one->id,
                            'event' => $one->event->name(),
                            'opened_at' => $one->opened_at->toIso8601ZuluString(),
                            'ended_at' => $one->ended_at?->toIso8601ZuluString(),
                            'cause' => $one->cause?->name(),
                        ],
                    )
                    ->all(),
            ),
        );
    }

    public function show(System $system, string $id): JsonResponse
    {
        return new JsonResponse($this->report->of($system->load('site'), $this->find($system, $id)));
    }

    public function open(IncidentRequest $request, System $system, string $id): JsonResponse
    {
        $person = $this->person($request);
        $this->work->open(
            $id,
            $system,
            $person,
            $request->event(),
            $request->signs(),
            $request->gone(),
            $request->since(),
        );

        return $this->answer($system);
    }

    public function tick(IncidentRequest $request, System $system, string $incident, string $id): JsonResponse
    {
        $this->work->tick($id, $this->find($system, $incident), $this->person($request), $request->tick());

        return $this->answer($system);
    }

    public function untick(System $system, string $id): JsonResponse
    {
        IncidentTick::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->delete();

        return $this->answer($system);
    }

    public function end(IncidentRequest $request, System $system, string $id): JsonResponse
    {
        $incident = $this->find($system, $id);
        $this->work->end($incident, $system, $this->person($request), $request);

        return new JsonResponse($this->report->of($system->load('site'), $incident));
    }

    private function find(System $system, string $id): Incident
    {
        return Incident::query()->where('system_id', $system->id)->findOrFail(strtoupper($id));
    }

    /** Trouble as it stands then, with what is seen. */
    private function answer(System $system): JsonResponse
    {
        $system->unsetRelations();
        $incident = Incident::open($system);
        $seen = array_values(array_filter(array_map(Sign::tryFrom(...), $incident->signs ?? [])));

        return new JsonResponse($this->trouble->of($system, LatestWater::of($system), $seen, $incident));
    }
}
