<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FishInputs;
use App\Actions\LineInputs;
use App\Actions\PumpInputs;
use App\Actions\RemovePart;
use App\Actions\StageInputs;
use App\Actions\VesselInputs;
use App\Http\Resources\BuildResource;
use App\Models\FishGroup;
use App\Models\Line;
use App\Models\Part;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Reports\SystemReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Ironwort\Core\Calc\BadInput;

/**
 * What a system is built of. Parts are put under keys made by the client, so that a repeated save
 * changes nothing; every answer is the whole build as it then stands.
 */
final class BuildController extends Controller
{
    /** The volume of the measures typed so far, without keeping anything. */
    public function vesselMeaning(Request $request, SystemReport $report, VesselInputs $vessels): JsonResponse
    {
        return new JsonResponse(
            $report->vessel(new Vessel(['name' => 'This vessel', ...$vessels->shape($request->all())]))->toArray(),
        );
    }

    public function putVessel(Request $request, System $system, string $id, VesselInputs $vessels): JsonResponse
    {
        $named = $this->named(
            $request,
            Vessel::KINDS,
            Rule::unique('vessels', 'name')
                ->where('system_id', $system->id)
                ->whereNull('retired_at')
                ->ignore(strtoupper($id)),
        );

        return $this->put(
            Vessel::class,
            $system,
            $id,
            [...$named, ...$vessels->read($request->all())],
            $this->seen($request),
        );
    }

    public function putStage(Request $request, System $system, string $id, StageInputs $stages): JsonResponse
    {
        $named = $this->named($request, null, null);

        return $this->put(
            Stage::class,
            $system,
            $id,
            [...$named, ...$stages->read($system, $request->except(['name', 'seen', 'version']))],
            $this->seen($request),
        );
    }

    public function putPump(Request $request, System $system, string $id, PumpInputs $pumps): JsonResponse
    {
        $named = $this->named($request, Pump::KINDS, null);

        return $this->put(
            Pump::class,
            $system,
            $id,
            [...$named, ...$pumps->read($system, $request->except(['name']))],
            $this->seen($request),
        );
    }

    public function putLine(Request $request, System $system, string $id, LineInputs $lines): JsonResponse
    {
        $named = $this->named($request, null, null);

        $columns = $lines->read($system, strtoupper($id), $request->except(['name']));
        $answer = $this->put(Line::class, $system, $id, [...$named, ...$columns], $this->seen($request));
        $lines->settleThreeWay($system, strtoupper($id));

        return $answer->getStatusCode() === 200 ? $this->build($system) : $answer;
    }

    public function putFish(Request $request, System $system, string $id, FishInputs $fish): JsonResponse
    {
        $named = $this->named($request, null, null);

        return $this->put(
            FishGroup::class,
            $system,
            $id,
            [...$named, ...$fish->group($system, $request->all())],
            $this->seen($request),
        );
    }

    public function destroy(System $system, string $kind, string $id, RemovePart $parts): JsonResponse
    {
        Gate::authorize('write');
        $parts->delete($system, $kind, $id);

        return $this->build($system);
    }

    /** Takes a part out of service, or back in; what the book says of it stays. */
    public function retire(Request $request, System $system, string $kind, string $id, RemovePart $parts): JsonResponse
    {
        Gate::authorize('write');
        /** @var array{retired: bool} $given */
        $given = $request->validate(
            ['retired' => ['required', 'boolean']],
            ['retired.required' => 'Say whether it is retired.'],
        );
        $parts->retire($system, $kind, $id, $given['retired']);

        return $this->build($system);
    }

    /**
     * @param  ?list<string>  $kinds
     * @return array<string, mixed>
     */
    private function named(Request $request, ?array $kinds, mixed $unique): array
    {
        Gate::authorize('write');

        return $request->validate(
            [
                'name' => ['required', 'string', 'max:60', ...$unique === null ? [] : [$unique]],
                ...$kinds === null ? [] : ['kind' => ['required', Rule::in($kinds)]],
            ],
            [
                'name.required' => 'Give it a name.',
                'name.unique' => 'There is one of this name already.',
                'name.max' => 'A name has at most 60 characters.',
                'kind.required' => 'Say what it is.',
            ],
        );
    }

    /**
     * @param  class-string<Part>  $class
     * @param  array<string, mixed>  $columns
     */
    private function put(string $class, System $system, string $id, array $columns, ?string $seen): JsonResponse
    {
        $id = strtoupper($id);
        $part = $class::query()->find($id);
        if ($part !== null && $seen !== null && $seen !== $part->version()) {
            throw BadInput::at(
                'seen',
                'Somebody changed this since you opened it. What you typed is still here: save ' .
                    'again to put it over theirs, or leave it to see theirs.',
            );
        }
        if ($part !== null && $part->system_id !== $system->id) {
            throw BadInput::at('id', 'This key belongs to another system.');
        }
        if ($part === null) {
            $position = $class::query()->where('system_id', $system->id)->max('position');
            $part = new $class([
                'id' => $id,
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'position' => (is_numeric($position) ? (int) $position : 0) + 1,
            ]);
        }
        $part->fill($columns)->save();

        return $this->build($system);
    }

    /** The version of the part that whoever saves has seen; null when it is new or nobody says. */
    private function seen(Request $request): ?string
    {
        $seen = $request->input('seen');

        return is_string($seen) && $seen !== '' ? $seen : null;
    }

    private function build(System $system): JsonResponse
    {
        return new JsonResponse(
            BuildResource::of($system->load(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish'])),
        );
    }
}
