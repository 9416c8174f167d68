<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\TypedInputs;
use App\Http\Controller;
use App\Models\FilterTest;
use App\Models\Flush;
use App\Models\Setback;
use App\Models\System;
use App\Models\WhatIf;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;

/**
 * A filter as it is: what stands behind its capacity, what befell it, how it was measured, and what-ifs that are
 * kept.
 */
final class FilterController extends Controller
{
    public function __construct(private readonly FilterReport $report, private readonly CapacityReport $capacity) {}

    public function show(CapacityRequest $request, System $system): JsonResponse
    {
        return $this->standing($system, $request->conditions());
    }

    /** @param  array<string, string>  $typed */
    private function standing(System $system, array $typed = []): JsonResponse
    {
        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system), $typed));
    }

    /** Ammonia before and after the filter, kept with what was expected of it then. */
    public function test(Request $request, System $system, string $id, Registry $registry): JsonResponse
    {
        $values = (new TypedInputs($registry->named('filter.single_pass')->inputs()))->read($request->all());
        $in = is_numeric($values['in_mg_l']) ? (float) $values['in_mg_l'] : 0.0;
        $capacity = $this->capacity->of(
            $system,
            LatestWater::of($system),
            ['tan_mg_l' => (string) max(0.001, $in)],
            believing: false,
        );
        $expected = $capacity->stagesGD;
        FilterTest::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$values,
                'expected_g_d' => $expected,
                'tested_at' => Carbon::now(),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
            ],
        );

        return $this->standing($system);
    }

    /** What the readings of the last weeks say the filter took, kept with what was expected of it in that water. */
    public function run(Request $request, System $system, string $id, FilterRun $runs): JsonResponse
    {
        if (!FilterTest::query()->whereKey(strtoupper($id))->exists()) {
            $run = $runs->of($system, LatestWater::of($system));
            FilterTest::query()->create([
                'run' => $run->input,
                'expected_g_d' => $run->expectedGD,
                'id' => strtoupper($id),
                'tested_at' => Carbon::now(),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
            ]);
        }

        return $this->standing($system);
    }

    /** Believes one measurement in place of the estimate, or none. */
    public function believe(BelieveRequest $request, System $system): JsonResponse
    {
        $id = $request->test($system);
        DB::transaction(static function () use ($system, $id): void {
            FilterTest::query()
                ->where('system_id', $system->id)
                ->update(['in_use' => false]);
            if ($id !== null) {
                FilterTest::query()
                    ->where('system_id', $system->id)
                    ->whereKey($id)
                    ->update(['in_use' => true]);
            }
        });

        return $this->standing($system);
    }

    public function setback(SetbackRequest $request, System $system, string $id): JsonResponse
    {
        $system->load('site');
        Setback::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                ...$request->columns($system),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
            ],
        );

        return $this->standing($system);
    }

    public function removeSetback(Request $request, System $system, string $id): JsonResponse
    {
        Setback::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->delete();

        return $this->standing($system);
    }

    /** A stage was flushed, or seen to be so far fouled. */
    public function flush(FlushRequest $request, System $system, string $id, BookFlush $books): JsonResponse
    {
        $books->book(
            strtoupper($id),
            $system->load('site'),
            $this->person($request),
            $request->stage($system),
            $request->at($system),
            $request->seenPct(),
        );

        return $this->standing($system);
    }

    public function removeFlush(System $system, string $id, BookFlush $books): JsonResponse
    {
        $row = Flush::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->whereNull('withdrawn_at')
            ->first();
        if ($row !== null) {
            $books->undo($row, $system);
        }

        return $this->standing($system);
    }

    /** The kept ones by name; each is reckoned when it is looked at. */
    public function whatIfs(System $system): JsonResponse
    {
        $kept = WhatIf::query()->where('system_id', $system->id)->orderBy('name')->limit(WhatIf::MOST)->get();

        return new JsonResponse(
            $kept
                ->map(
                    static fn(WhatIf $one): array => [
                        'id' => $one->id,
                        'name' => $one->name,
                        'changes' => (object) $one->changes,
                    ],
                )
                ->all(),
        );
    }

    public function whatIf(System $system, string $id): JsonResponse
    {
        $kept = WhatIf::query()->where('system_id', $system->id)->findOrFail(strtoupper($id));
        try {
            $capacity = $this->capacity->of($system, LatestWater::of($system), $kept->changes);
        } catch (BadInput) {
            // A stage it speaks of is gone; it is listed, with nothing worked out.
            $capacity = null;
        }
        $shown = $capacity?->toArray();

        return new JsonResponse([
            'id' => $kept->id,
            'name' => $kept->name,
            'changes' => (object) $kept->changes,
            'load' => $capacity?->load?->toArray(),
            'capacity' => $capacity?->capacity?->toArray(),
            'grown' => $capacity?->grown?->toArray(),
            'settles' => $shown['settles'] ?? [],
            'room' => $capacity?->room?->toArray(),
        ]);
    }

    public function keepWhatIf(WhatIfRequest $request, System $system, string $id): JsonResponse
    {
        $changes = $request->changes();
        $others = WhatIf::query()->where('system_id', $system->id)->where('id', '<>', strtoupper($id));
        if ($others->count() >= WhatIf::MOST) {
            throw BadInput::at('name', WhatIf::MOST . ' are saved here already: remove one first.');
        }
        $loaded = $system->unsetRelations();
        $this->capacity->read($loaded, LatestWater::of($loaded), $changes);
        WhatIf::query()->updateOrCreate(
            ['id' => strtoupper($id)],
            [
                'name' => $request->string('name')->toString(),
                'changes' => $changes,
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
            ],
        );

        return $this->whatIfs($system);
    }

    public function removeWhatIf(System $system, string $id): JsonResponse
    {
        WhatIf::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->delete();

        return $this->whatIfs($system);
    }
}
