<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\Controller;
use App\Models\AirOutlet;
use App\Models\Junction;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Volumes\LoopSums;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * What a system is built of. Parts are put under keys made by the client, so that a repeated save
 * changes nothing; every answer is the whole build as it then stands.
 */
final class BuildController extends Controller
{
    public function __construct(
        private readonly FollowLoop $loop,
        private readonly JoinNew $joins,
        private readonly OwnPump $pumps,
    ) {}

    /** The volume of the measures typed so far, without keeping anything. */
    public function vesselMeaning(Request $request, LoopSums $report, VesselInputs $vessels): JsonResponse
    {
        return new JsonResponse(
            $report->vessel(new Vessel(['name' => 'This vessel', ...$vessels->shape($request->all())]))->toArray(),
        );
    }

    public function putVessel(
        PartRequest $request,
        System $system,
        string $id,
        VesselInputs $vessels,
        SavePart $parts,
    ): JsonResponse {
        $columns = [...$request->validated(), ...$vessels->read($request->all())];
        $count = Several::count($request->all());
        $rows = $count === 1 ? [] : $vessels->alike($id, $columns, $count, $request->all());

        return $this->changed(
            $request,
            $system,
            static fn() => $rows === []
                ? $parts->save(Vessel::class, $system, $id, $columns, $request->seen())
                : $parts->saveAll(Vessel::class, $system, $rows),
        );
    }

    public function putStage(
        PartRequest $request,
        System $system,
        string $id,
        StageInputs $stages,
        SavePart $parts,
    ): JsonResponse {
        $columns = $stages->read($system, $request->except(['name', 'seen', 'version']), strtoupper($id));
        $name = $request->string('name')->toString();
        $inside = is_string($columns['vessel_id']) ? $columns['vessel_id'] : null;
        $pump = OwnPump::read($request->all(), $inside);

        return $this->changed($request, $system, function () use (
            $parts,
            $request,
            $system,
            $id,
            $columns,
            $name,
            $pump,
        ): void {
            $parts->save(Stage::class, $system, $id, [...$request->validated(), ...$columns], $request->seen());
            if ($pump !== null) {
                $this->pumps->keep($system, $id, $name, $pump);
            }
            if ($columns['chamber_id'] === null) {
                $this->joins->join($system, 'stage', $id, $name, $request->all());
            }
        });
    }

    public function putPump(
        PartRequest $request,
        System $system,
        string $id,
        PumpInputs $pumps,
        SavePart $parts,
    ): JsonResponse {
        $columns = $pumps->read($system, $request->except(['name']));

        return $this->changed($request, $system, function () use ($parts, $request, $system, $id, $columns): void {
            $parts->save(Pump::class, $system, $id, [...$request->validated(), ...$columns], $request->seen());
            $this->joins->join($system, 'pump', $id, $request->string('name')->toString(), $request->all());
        });
    }

    public function putLine(
        PartRequest $request,
        System $system,
        string $id,
        LineInputs $lines,
        SavePart $parts,
    ): JsonResponse {
        $typed = $request->except(['name']);
        $each = $lines->ofEach($system, $typed);
        if ($each === []) {
            $columns = $lines->read($system, strtoupper($id), $typed);

            return $this->changed($request, $system, static function () use (
                $parts,
                $request,
                $system,
                $id,
                $columns,
                $lines,
            ): void {
                $parts->save(Line::class, $system, $id, [...$request->validated(), ...$columns], $request->seen());
                $lines->settleThreeWay($system, strtoupper($id));
            });
        }
        $names = Several::names($request->string('name')->toString(), count($each));
        $rows = [];
        foreach (Several::keys($id, count($each)) as $i => $key) {
            $rows[$key] = ['name' => $names[$i], ...$lines->read($system, $key, $each[$i])];
        }

        return $this->changed($request, $system, static fn() => $parts->saveAll(Line::class, $system, $rows));
    }

    public function putJunction(PartRequest $request, System $system, string $id, SavePart $parts): JsonResponse
    {
        return $this->changed(
            $request,
            $system,
            static fn() => $parts->save(Junction::class, $system, $id, $request->validated(), $request->seen()),
        );
    }

    public function putOutlet(PartRequest $request, System $system, string $id, SavePart $parts): JsonResponse
    {
        $columns = [...$request->validated(), ...OutletInputs::read($system, $request->all())];

        return $this->changed(
            $request,
            $system,
            static fn() => $parts->save(AirOutlet::class, $system, $id, $columns, $request->seen()),
        );
    }

    public function destroy(Request $request, System $system, string $kind, string $id, RemovePart $parts): JsonResponse
    {
        return $this->changed($request, $system, static fn() => $parts->delete($system, $kind, $id));
    }

    /** Takes a part out of service, or back in; what the book says of it stays. */
    public function retire(
        RetireRequest $request,
        System $system,
        string $kind,
        string $id,
        RemovePart $parts,
    ): JsonResponse {
        return $this->changed(
            $request,
            $system,
            static fn() => $parts->retire($system, $kind, $id, $request->retired()),
        );
    }

    /** Takes back what was changed last. */
    public function undo(System $system, string $id): JsonResponse
    {
        BuildHistory::undo($system, $id);
        $this->follow($system);

        return new JsonResponse(BuildResource::of($system->unsetRelations()));
    }

    /**
     * Changes the build and keeps what it was; every answer is the whole of it as it then stands.
     *
     * @param  callable(): mixed  $change
     */
    private function changed(Request $request, System $system, callable $change): JsonResponse
    {
        $before = BuildRows::of($system);
        $change();
        $this->follow($system);
        BuildHistory::keep($system, $this->person($request), $before);

        return new JsonResponse(BuildResource::of($system->unsetRelations()));
    }

    /** What follows from the parts: flows by the loop, layers by their chamber, air by its outlets. */
    private function follow(System $system): void
    {
        $this->loop->follow($system->unsetRelations());
        Layers::settle($system->unsetRelations());
        AirOutlet::feedStages($system->unsetRelations());
    }
}
