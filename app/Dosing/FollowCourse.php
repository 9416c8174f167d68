<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Http\BookedAs;
use App\Http\Overridden;
use App\Models\Course;
use App\Models\Dose;
use App\Models\System;
use App\Models\User;
use App\Readings\LatestWater;
use App\Shelf\TakeFromShelf;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Words\Message;

/**
 * A course begun with its first dose, and carried on: each further dose brings the water back to its level and no
 * higher.
 */
final readonly class FollowCourse
{
    public function __construct(
        private GiveDose $doses,
        private CourseReport $courses,
        private JudgeDose $judge,
        private AgentTable $agents,
        private WaterBodies $bodies,
        private Registry $registry,
    ) {}

    /** @throws BadInput */
    public function begin(string $id, System $system, User $user, DoseForm $form): Dose
    {
        return DB::transaction(function () use ($id, $system, $user, $form): Dose {
            $dose = $this->doses->give($id, $system, $user, $form);
            if ($dose->course_id !== null) {
                return $dose;
            }
            $agent = $this->agents->agents[$dose->thing] ?? null;
            if ($agent === null || $dose->way !== 'prolonged' || $dose->mg_l === null) {
                throw BadInput::at('thing', 'Only a treatment that stays in the water can be a course.');
            }
            if (
                Course::query()
                    ->where('system_id', $system->id)
                    ->where('thing', $dose->thing)
                    ->where('vessel_id', $dose->vessel_id)
                    ->whereNull('ended_at')
                    ->exists()
            ) {
                throw BadInput::at('thing', 'A course of it is running here already. Give its next dose on Course.');
            }
            $strength = $dose->input['strength_pct'] ?? null;
            $course = Course::query()->create([
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'vessel_id' => $dose->vessel_id,
                'thing' => $dose->thing,
                'way' => $dose->way,
                'dose_mg_l' => $this->registry->run($dose->calc, $dose->input)->number('dose_mg_l'),
                'strength_pct' => is_numeric($strength) ? (float) $strength : null,
                'repeats' => $agent->repeats,
                'started_at' => $dose->given_at,
            ]);
            $dose->course_id = $course->id;
            $dose->save();

            return $dose;
        });
    }

    /**
     * The next dose of a course, or a top-up after a change: what is missing to its level.
     *
     * @throws BadInput
     */
    public function carryOn(string $id, System $system, User $user, string $course, bool $topUp, DoseForm $form): Dose
    {
        return DB::transaction(function () use ($id, $system, $user, $course, $topUp, $form): Dose {
            $system->hold();
            // Read under the lock: somebody may have given the dose that was due.
            $found = Course::query()
                ->with(['doses', 'vessel'])
                ->where('system_id', $system->id)
                ->findOrFail(strtoupper($course));

            $known = Dose::query()->find(strtoupper($id));
            if ($known === null) {
                return $this->next(strtoupper($id), $system, $user, $found, $topUp, $form);
            }
            BookedAs::refuseOther($known->course_id === $found->id, $known->text());

            return $known;
        });
    }

    private function next(string $id, System $system, User $user, Course $course, bool $topUp, DoseForm $form): Dose
    {
        if ($course->ended_at !== null) {
            throw BadInput::at('course', 'This course has ended.');
        }
        $body = $this->bodies->find($system, $course->vessel_id);
        $water = LatestWater::of($system);
        $dosable = Dosable::all($system, $this->agents)[$course->thing];
        $judged = $this->judge->conflicts($dosable, $this->judge->state($system, $body, $water));
        if ($judged->isRefused()) {
            throw BadInput::at(
                'course',
                implode(' ', Message::texts($judged->refusals)),
                Message::codes($judged->refusals),
            );
        }
        $unmet = JudgedDose::open($judged, $form);
        JudgedDose::refuseOpen($unmet, $form);
        $plan = $this->courses->plan($course, $water->valueOrAssumed(Parameter::Temperature));
        if (!$topUp && $plan->complete) {
            throw BadInput::at('course', 'All its doses are given.');
        }
        if (!$topUp && $plan->broken) {
            throw BadInput::at('course', $plan->says);
        }
        $amount = Measures::down($this->courses->topUp($system, $water, $course));
        if ($amount <= 0) {
            throw BadInput::at('course', 'The water is at its level: add nothing now.');
        }
        $agent = $this->agents->get($course->thing);
        $dose = Dose::query()->create([
            'id' => $id,
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $user->id,
            'vessel_id' => $course->vessel_id,
            'course_id' => $course->id,
            'thing' => $course->thing,
            'name' => $agent->name,
            'way' => $course->way,
            'amount' => $amount,
            'unit' => $agent->unit,
            'mg_l' => (1000 * $amount * $this->courses->strength($course)) / $body->volumeL,
            'volume_l' => $body->volumeL,
            'calc' => 'dose.residual',
            'input' => [...$this->input($system, $course, $body), 'top_up' => $topUp],
            'conditions' => Message::texts($judged->conditions),
            'override_reason' => $unmet === [] ? null : $form->reason(),
            'given_at' => Carbon::now(),
        ]);
        TakeFromShelf::take($dose, JudgeDose::good($system, $dosable));
        Overridden::log("dose of {$dose->thing}", Message::codes($unmet), false, $system, $user);

        return $dose;
    }

    /** @return array<string, float> what the amount follows from */
    private function input(System $system, Course $course, WaterBody $body): array
    {
        return [
            'volume_l' => $body->volumeL,
            'target_mg_l' => $course->dose_mg_l,
            'left_mg_l' => $this->courses->left($system, $course, Carbon::now()),
            ...$course->strength_pct === null ? [] : ['strength_pct' => $course->strength_pct],
        ];
    }
}
