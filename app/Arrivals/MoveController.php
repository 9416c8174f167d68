<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Book\KeepNote;
use App\Fish\FishReport;
use App\Http\Controller;
use App\Http\Overridden;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\Quarantine;
use App\Models\System;
use App\Models\TestPlan;
use App\Models\User;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Words\Message;

/** Fish that go: to other water, sold, dead; and the quarantine they have to get through first. */
final class MoveController extends Controller
{
    public function __construct(private readonly FishReport $report) {}

    /** The water they would go to beside the one they leave. */
    public function show(LeaveRequest $request, System $system, MoveReport $moves): JsonResponse
    {
        return new JsonResponse($moves->of($system, $request->destination($system)));
    }

    public function leave(
        LeaveRequest $request,
        System $system,
        string $group,
        string $kind,
        string $id,
        FishLeave $leave,
        MoveReport $moves,
        KeepNote $notes,
    ): JsonResponse {
        $system->load('site');
        $found = FishGroup::query()->where('system_id', $system->id)->findOrFail(strtoupper($group));
        $leaving = $request->leaving($system, $found->count);
        $to = $request->to($system);
        $person = $this->person($request);
        $this->allow($id, $moves->asks($system, $to, $kind), $leaving['reason'], $system, $person);
        $photo = $request->photo();
        $leave->leave(strtoupper($id), $found, $kind, $leaving, $person, $to, $request->single($found));
        if ($photo !== null) {
            $words = trim("{$leaving['count']} {$found->name}: {$kind}. " . ($leaving['reason'] ?? ''));
            $notes->keep($id, $system, $person, $words, [], $photo);
        }
        $system->refresh();

        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    /** All fish of a system as one move. */
    public function moveAll(
        LeaveRequest $request,
        System $system,
        string $id,
        MoveAll $all,
        MoveReport $moves,
    ): JsonResponse {
        $system->load(['site', 'fish']);
        $asked = $request->everybody($system);
        $to = $request->destination($system);
        $person = $this->person($request);
        $this->allow($id, $moves->asks($system, $to), $asked['reason'], $system, $person);
        $all->move($id, $system, $to, $asked, $person);
        $system->refresh();

        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    /**
     * What speaks against it is passed with a reason, and that is logged, once however often it is sent.
     *
     * @throws BadInput at `reason` where none is given
     */
    private function allow(string $id, ?Message $against, ?string $reason, System $system, User $person): void
    {
        if ($against === null) {
            return;
        }
        if ($reason === null) {
            throw BadInput::at('reason', $against->text, [$against->code]);
        }
        if (!FishEvent::query()->whereKey(strtoupper($id))->exists()) {
            Overridden::log('move of fish', [$against->code], false, $system, $person);
        }
    }

    /** A bag at the door: what opening it does, and the drip into this water. */
    public function bag(Request $request, System $system, BagReport $bags): JsonResponse
    {
        return new JsonResponse(
            $bags->of($system->unsetRelations(), LatestWater::of($system), $this->typed($request))->toArray(),
        );
    }

    public function quarantine(System $system, QuarantineReport $report): JsonResponse
    {
        return new JsonResponse($report->of($system->unsetRelations(), LatestWater::of($system)));
    }

    public function protocol(
        QuarantineRequest $request,
        System $system,
        QuarantineReport $report,
        Library $library,
    ): JsonResponse {
        $protocol = Quarantine::query()->updateOrCreate(
            ['system_id' => $system->id],
            [...$request->columns($library), 'site_id' => $system->site_id],
        );
        if ($request->filled('tests_a_day')) {
            $this->plan($system, $protocol->tests_a_day);
        }

        return $this->quarantine($system, $report);
    }

    /** So often ammonia and nitrite are due to be tested, on every page; by the usual plan where none are asked for. */
    private function plan(System $system, float $testsADay): void
    {
        foreach ([Parameter::Ammonia, Parameter::Nitrite] as $parameter) {
            $of = ['system_id' => $system->id, 'parameter' => $parameter->value];
            if ($testsADay <= 0) {
                TestPlan::query()->where($of)->delete();
            } else {
                TestPlan::query()->updateOrCreate($of, ['site_id' => $system->site_id, 'every_h' => 24 / $testsADay]);
            }
        }
    }
}
