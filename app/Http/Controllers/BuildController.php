<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\LineInputs;
use App\Actions\PumpInputs;
use App\Actions\StageInputs;
use App\Actions\TypedInputs;
use App\Actions\Yes;
use App\Http\Resources\BuildResource;
use App\Models\FeedFigure;
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
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Registry;
use Ironwort\Core\Fish\Condition;

/**
 * What a system is built of. Parts are put under keys made by the client, so that a repeated save
 * changes nothing; every answer is the whole build as it then stands.
 */
final class BuildController extends Controller
{
    public function __construct(private readonly Registry $registry)
    {
    }

    /** The volume of the measures typed so far, without keeping anything. */
    public function vesselMeaning(Request $request, SystemReport $report): JsonResponse
    {
        return new JsonResponse($report->vessel(new Vessel(['name' => 'This vessel', ...$this->vesselColumns($request)]))->toArray());
    }

    public function putVessel(Request $request, System $system, string $id): JsonResponse
    {
        $named = $this->named($request, Vessel::KINDS, Rule::unique('vessels', 'name')->where('system_id', $system->id)->ignore(strtoupper($id)));

        return $this->put(Vessel::class, $system, $id, [...$named, ...$this->vesselColumns($request), 'netted' => Yes::said($request->input('netted'))], $this->seen($request));
    }

    public function putStage(Request $request, System $system, string $id, StageInputs $stages): JsonResponse
    {
        $named = $this->named($request, null, null);

        return $this->put(Stage::class, $system, $id, [...$named, ...$stages->read($request->except(['name', 'seen', 'version']))], $this->seen($request));
    }

    public function putPump(Request $request, System $system, string $id, PumpInputs $pumps): JsonResponse
    {
        $named = $this->named($request, Pump::KINDS, null);

        return $this->put(Pump::class, $system, $id, [...$named, ...$pumps->read($request->except(['name']))], $this->seen($request));
    }

    public function putLine(Request $request, System $system, string $id, LineInputs $lines): JsonResponse
    {
        $named = $this->named($request, null, null);

        return $this->put(Line::class, $system, $id, [...$named, ...$lines->read($system, $request->except(['name']))], $this->seen($request));
    }

    public function putFish(Request $request, System $system, string $id): JsonResponse
    {
        $named = $this->named($request, null, null);
        $inputs = [Input::number('count', 'Count', null, 1, 100000), ...$this->registry->named('fish.weight')->inputs()];
        $values = (new TypedInputs($inputs))->read($request->only(['count', 'length_cm', 'condition']));
        if (fmod((float) $values['count'], 1.0) > 0) {
            throw BadInput::at('count', 'Fish are counted whole.');
        }

        return $this->put(FishGroup::class, $system, $id, [...$named, 'condition' => Condition::USUAL, ...$values, 'count' => (int) $values['count']], $this->seen($request));
    }

    /** A feed figure from today on; earlier ones stay as they were. */
    public function putFeed(Request $request, System $system): JsonResponse
    {
        Gate::authorize('write');
        $inputs = [Input::number('feed_g_d', 'Feed', 'g/d', 0, 500000), Input::number('protein_pct', 'Protein', '%', 5, 80)];
        $values = (new TypedInputs($inputs))->read($request->only(['feed_g_d', 'protein_pct']));
        FeedFigure::query()->updateOrCreate(
            ['system_id' => $system->id, 'since' => now($system->site->timezone)->toDateString()],
            [...$values, 'site_id' => $system->site_id, 'user_id' => $this->person($request)->id],
        );

        return $this->build($system);
    }

    public function destroy(System $system, string $kind, string $id): JsonResponse
    {
        Gate::authorize('write');
        $class = ['vessels' => Vessel::class, 'stages' => Stage::class, 'pumps' => Pump::class, 'lines' => Line::class, 'fish' => FishGroup::class][$kind];
        $id = strtoupper($id);
        $leading = $kind === 'lines' ? [] : $this->linesAt($system, $id);
        if ($leading !== []) {
            throw BadInput::at('id', 'Lines still lead here: '.implode(', ', $leading).'. Move or remove them first.');
        }
        $class::query()->where('system_id', $system->id)->whereKey($id)->delete();

        return $this->build($system);
    }

    /** @return array<string, mixed> */
    private function vesselColumns(Request $request): array
    {
        $inputs = $this->registry->named('volume.vessel')->inputs();
        $values = (new TypedInputs($inputs))->read($request->except(['name', 'kind', 'netted']));
        $this->registry->run('volume.vessel', $values);

        return [
            'shape' => $values['shape'],
            'measures' => array_diff_key($values, ['shape' => 0, 'freeboard_m' => 0, 'displaced_l' => 0]),
            'freeboard_m' => $values['freeboard_m'] ?? 0.0,
            'displaced_l' => $values['displaced_l'] ?? 0.0,
        ];
    }

    /**
     * @param  ?list<string>  $kinds
     * @return array<string, mixed>
     */
    private function named(Request $request, ?array $kinds, mixed $unique): array
    {
        Gate::authorize('write');

        return $request->validate(
            ['name' => ['required', 'string', 'max:60', ...($unique === null ? [] : [$unique])], ...($kinds === null ? [] : ['kind' => ['required', Rule::in($kinds)]])],
            ['name.required' => 'Give it a name.', 'name.unique' => 'There is one of this name already.', 'name.max' => 'A name has at most 60 characters.', 'kind.required' => 'Say what it is.'],
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
            throw BadInput::at('seen', 'Somebody changed this since you opened it. What you typed is still here: save again to put it over theirs, or leave it to see theirs.');
        }
        if ($part !== null && $part->system_id !== $system->id) {
            throw BadInput::at('id', 'This key belongs to another system.');
        }
        if ($part === null) {
            $position = $class::query()->where('system_id', $system->id)->max('position');
            $part = new $class(['id' => $id, 'site_id' => $system->site_id, 'system_id' => $system->id, 'position' => (is_numeric($position) ? (int) $position : 0) + 1]);
        }
        $part->fill($columns)->save();

        return $this->build($system);
    }

    /** @return list<string> names of the lines that begin or end at a part */
    private function linesAt(System $system, string $id): array
    {
        return array_values($system->lines
            ->filter(static fn (Line $line): bool => $line->from()->id === $id || $line->to()->id === $id)
            ->map(static fn (Line $line): string => $line->name)->all());
    }

    /** The version of the part that whoever saves has seen; null when it is new or nobody says. */
    private function seen(Request $request): ?string
    {
        $seen = $request->input('seen');

        return is_string($seen) && $seen !== '' ? $seen : null;
    }

    private function build(System $system): JsonResponse
    {
        return new JsonResponse(BuildResource::of($system->load(['site', 'vessels', 'stages', 'pumps', 'lines', 'fish'])));
    }
}
