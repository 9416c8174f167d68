<?php

declare(strict_types=1);

namespace App\Build;

use App\Http\Controller;
use App\Models\Junction;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Volumes\LoopSums;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/**
 * What a system is built of. Parts are put under keys made by the client, so that a repeated save
 * changes nothing; every answer is the whole build as it then stands.
 */
final class BuildController extends Controller
{
    public function __construct(private readonly FollowLoop $loop, private readonly JoinNew $joins) {}

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
        if ($count === 1) {
            $parts->save(Vessel::class, $system, $id, $columns, $request->seen());
        } else {
            $parts->saveAll(Vessel::class, $system, $vessels->alike($id, $columns, $count, $request->all()));
        }

        return $this->build($system);
    }

    public function putStage(
        PartRequest $request,
        System $system,
        string $id,
        StageInputs $stages,
        SavePart $parts,
    ): JsonResponse {
        $columns = $stages->read($system, $request->except(['name', 'seen', 'version']), strtoupper($id));
        DB::transaction(function () use ($parts, $request, $system, $id, $columns): void {
            $parts->save(Stage::class, $system, $id, [...$request->validated(), ...$columns], $request->seen());
            $this->joins->join($system, 'stage', $id, $request->string('name')->toString(), $request->all());
        });

        return $this->build($system);
    }

    public function putPump(
        PartRequest $request,
        System $system,
        string $id,
        PumpInputs $pumps,
        SavePart $parts,
    ): JsonResponse {
        $columns = $pumps->read($system, $request->except(['name']));
        DB::transaction(function () use ($parts, $request, $system, $id, $columns): void {
            $parts->save(Pump::class, $system, $id, [...$request->validated(), ...$columns], $request->seen());
            $this->joins->join($system, 'pump', $id, $request->string('name')->toString(), $request->all());
        });

        return $this->build($system);
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
            $parts->save(Line::class, $system, $id, [...$request->validated(), ...$columns], $request->seen());
            $lines->settleThreeWay($system, strtoupper($id));

            return $this->build($system);
        }
        $names = Several::names($request->string('name')->toString(), count($each));
        $rows = [];
        foreach (Several::keys($id, count($each)) as $i => $key) {
            $rows[$key] = ['name' => $names[$i], ...$lines->read($system, $key, $each[$i])];
        }
        $parts->saveAll(Line::class, $system, $rows);

        return $this->build($system);
    }

    public function putJunction(PartRequest $request, System $system, string $id, SavePart $parts): JsonResponse
    {
        $parts->save(Junction::class, $system, $id, $request->validated(), $request->seen());

        return $this->build($system);
    }

    public function destroy(System $system, string $kind, string $id, RemovePart $parts): JsonResponse
    {
        $parts->delete($system, $kind, $id);

        return $this->build($system);
    }

    /** Takes a part out of service, or back in; what the book says of it stays. */
    public function retire(
        RetireRequest $request,
        System $system,
        string $kind,
        string $id,
        RemovePart $parts,
    ): JsonResponse {
        $parts->retire($system, $kind, $id, $request->retired());

        return $this->build($system);
    }

    private function build(System $system): JsonResponse
    {
        $this->loop->follow($system->unsetRelations());

        return new JsonResponse(BuildResource::of($system->unsetRelations()));
    }
}
