<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Http\Controller;
use App\Models\Charge;
use App\Models\Dose;
use App\Models\System;
use App\Readings\LatestWater;
use App\Shelf\TakeFromShelf;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The dose bench, and doses given. */
final class DoseController extends Controller
{
    public function __construct(private readonly DoseReport $doses) {}

    public function show(DoseRequest $request, System $system): JsonResponse
    {
        return new JsonResponse(
            $this->doses->of($system->unsetRelations(), LatestWater::of($system), $request->form()),
        );
    }

    /** Gives a dose, alone or as the first of a course. */
    public function give(
        DoseRequest $request,
        System $system,
        string $id,
        GiveDose $give,
        FollowCourse $course,
    ): JsonResponse {
        $form = $request->form();
        if ($request->course()) {
            $course->begin($id, $system, $this->person($request), $form);
        } else {
            $give->give($id, $system, $this->person($request), $form);
        }

        return new JsonResponse($this->doses->of($system, LatestWater::of($system), new DoseForm([])));
    }

    /** The fish are out of a bath or dip. */
    public function end(DoseRequest $request, System $system, string $id): JsonResponse
    {
        $dose = $this->find($system, $id);
        if ($dose->running()) {
            $dose->forceFill(['ended_at' => Carbon::now(), 'ended_by' => $this->person($request)->id])->save();
        }

        return $this->show($request, $system);
    }

    /** Takes a dose back that was never given; it stays in the book, unseen. */
    public function withdraw(DoseRequest $request, System $system, string $id): JsonResponse
    {
        DB::transaction(function () use ($system, $id): void {
            $dose = $this->find($system, $id);
            if ($dose->withdrawn_at === null) {
                $dose->fill(['withdrawn_at' => Carbon::now()])->save();
                TakeFromShelf::giveBack($dose);
                // A charge of zeolite hangs under the key of its dose.
                $charge = Charge::query()->where('system_id', $system->id)->find($dose->id);
                if ($charge !== null) {
                    Unhang::charge($charge);
                }
            }
        });

        return $this->show($request, $system);
    }

    private function find(System $system, string $id): Dose
    {
        $query = Dose::query()->where('system_id', $system->id);

        return $query->findOrFail(strtoupper($id));
    }
}
