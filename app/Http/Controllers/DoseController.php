<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FollowCourse;
use App\Actions\GiveDose;
use App\Actions\TakeFromShelf;
use App\Actions\TypedInputs;
use App\Actions\Yes;
use App\Dosing\CourseReport;
use App\Dosing\DoseReport;
use App\Models\Charge;
use App\Models\Course;
use App\Models\Dose;
use App\Models\System;
use App\Reports\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Dose\AfterCourse;
use Ironwort\Core\Dose\AgentTable;

/** The dose bench, doses given, courses that run, and what hangs in the loop. */
final class DoseController extends Controller
{
    public function __construct(private readonly DoseReport $doses, private readonly CourseReport $courses) {}

    public function show(Request $request, System $system): JsonResponse
    {
        $typed = $request->query('typed');

        return new JsonResponse(
            $this->doses->of(
                self::loaded($system),
                LatestWater::of($system),
                is_array($typed) ? $typed : (array) $request->query(),
            ),
        );
    }

    /** Gives a dose, alone or as the first of a course. */
    public function give(
        Request $request,
        System $system,
        string $id,
        GiveDose $give,
        FollowCourse $course,
    ): JsonResponse {
        Gate::authorize('write');
        $system = self::loaded($system);
        if (Yes::said($request->input('course'))) {
            $course->begin($id, $system, $this->person($request), $request->all());
        } else {
            $give->give($id, $system, $this->person($request), $request->all());
        }

        return new JsonResponse($this->doses->of($system, LatestWater::of($system), []));
    }

    /** The fish are out of a bath or dip. */
    public function end(Request $request, System $system, string $id): JsonResponse
    {
        Gate::authorize('write');
        $dose = $this->find($system, $id);
        if ($dose->running()) {
            $dose->forceFill(['ended_at' => Carbon::now(), 'ended_by' => $this->person($request)->id])->save();
        }

        return $this->show($request, $system);
    }

    /** Takes a dose back that was never given; it stays in the book, unseen. */
    public function withdraw(Request $request, System $system, string $id): JsonResponse
    {
        Gate::authorize('write');
        DB::transaction(function () use ($system, $id): void {
            $dose = $this->find($system, $id);
            if ($dose->withdrawn_at === null) {
                $dose->fill(['withdrawn_at' => Carbon::now()])->save();
                TakeFromShelf::giveBack($dose);
            }
        });

        return $this->show($request, $system);
    }

    public function courses(System $system): JsonResponse
    {
        return new JsonResponse($this->courses->of(self::loaded($system), LatestWater::of($system)));
    }

    public function carryOn(
        Request $request,
        System $system,
        string $course,
        string $id,
        FollowCourse $follow,
    ): JsonResponse {
        Gate::authorize('write');
        $follow->carryOn(
            $id,
            self::loaded($system),
            $this->person($request),
            $this->course($system, $course),
            Yes::said($request->input('top_up')),
            $request->all(),
        );

        return $this->courses($system);
    }

    public function stop(Request $request, System $system, string $course): JsonResponse
    {
        Gate::authorize('write');
        $found = $this->course($system, $course);
        $reason = $request->input('reason');
        if (!is_string($reason) || trim($reason) === '') {
            throw BadInput::at('reason', 'Say why it ends: done, or what went wrong.');
        }
        if ($found->ended_at === null) {
            $found->fill(['ended_at' => Carbon::now(), 'end_reason' => mb_substr(trim($reason), 0, 200)])->save();
        }

        return $this->courses($system);
    }

    /** One step of the filter's return is done. */
    public function returned(System $system, string $course, string $step, AgentTable $agents): JsonResponse
    {
        Gate::authorize('write');
        DB::transaction(function () use ($system, $course, $step, $agents): void {
            $found = $this->course($system, $course);
            if (!isset(AfterCourse::steps($agents->get($found->thing))[$step])) {
                throw BadInput::at('step', 'There is no such step.');
            }
            $found->returned = array_values(array_unique([...$found->returned, $step]));
            $found->save();
        });

        return $this->courses($system);
    }

    /** A charge goes in. Zeolite and resin never into salted water. */
    public function charge(Request $request, System $system, string $id): JsonResponse
    {
        Gate::authorize('write');
        $values = (new TypedInputs([
            Input::choice('kind', 'What it is', Charge::KINDS),
            Input::number('mass_g', 'How much', 'g', 1, 1e7),
            Input::number('capacity_mg_n_per_g', 'It holds', 'mg N/g', 0.05, 30)->optional(),
            Input::number('cycles', 'Regenerated', null, 0, 100)->optional(),
        ]))->read($request->all());
        $refused =
            $values['kind'] === 'carbon'
                ? []
                : $this->doses->refusals(self::loaded($system), LatestWater::of($system), 'zeolite');
        if ($refused !== []) {
            throw BadInput::at('kind', implode(' ', $refused));
        }
        DB::transaction(function () use ($id, $values, $system, $request): void {
            $charge = Charge::query()->firstOrCreate(
                ['id' => strtoupper($id)],
                [
                    ...$values,
                    'cycles' => is_numeric($values['cycles'] ?? null) ? (int) $values['cycles'] : 0,
                    'put_in_at' => Carbon::now(),
                    'site_id' => $system->site_id,
                    'system_id' => $system->id,
                    'user_id' => $this->person($request)->id,
                ],
            );
            $kind = ['zeolite' => 'zeolite', 'resin' => 'zeolite', 'carbon' => 'carbon'][$charge->kind] ?? null;
            if ($charge->wasRecentlyCreated && $kind !== null) {
                TakeFromShelf::off($system->site_id, $kind, $charge->mass_g, 'g');
            }
        });

        return $this->courses($system);
    }

    /** Out of the loop; regenerated, it goes back in as a charge that holds a little less. */
    public function takeOut(Request $request, System $system, string $id): JsonResponse
    {
        Gate::authorize('write');
        DB::transaction(function () use ($request, $system, $id): void {
            $query = Charge::query()->where('system_id', $system->id);
            $charge = $query->findOrFail(strtoupper($id));
            if ($charge->taken_out_at !== null) {
                return;
            }
            $charge->fill(['taken_out_at' => Carbon::now()])->save();
            if (Yes::said($request->input('regenerated'))) {
                Charge::query()->create([
                    ...$charge->only(['site_id', 'system_id', 'kind', 'mass_g', 'capacity_mg_n_per_g']),
                    'user_id' => $this->person($request)->id,
                    'cycles' => $charge->cycles + 1,
                    'put_in_at' => Carbon::now(),
                ]);
            }
        });

        return $this->courses($system);
    }

    private function find(System $system, string $id): Dose
    {
        $query = Dose::query()->where('system_id', $system->id);

        return $query->findOrFail(strtoupper($id));
    }

    private function course(System $system, string $id): Course
    {
        $query = Course::query()
            ->with(['doses', 'vessel'])
            ->where('system_id', $system->id);

        return $query->findOrFail(strtoupper($id));
    }

    private static function loaded(System $system): System
    {
        return $system->load([
            'site',
            'vessels',
            'stages',
            'pumps',
            'lines',
            'fish',
            'shutOffs',
            'ownLimits',
            'schools',
        ]);
    }
}
