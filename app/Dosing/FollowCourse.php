<?php

declare(strict_types=1);

namespace App\Dosing;

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

/**
 * A course begun with its first dose, and carried on: each further dose brings the water back to its level and no
 * higher.
 */
final readonly class FollowCourse
{
    public function __construct(
        private GiveDose $doses,
        private CourseReport $courses,
        private DoseReport $report,
        private AgentTable $agents,
        private WaterBodies $bodies,
        private Registry $registry,
    ) {}

    /**
     * @param  array<array-key, mixed>  $typed  as for a dose
     *
     * @throws BadInput
     */
    public function begin(string $id, System $system, User $user, array $typed): Dose
    {
        return DB::transaction(function () use ($id, $system, $user, $typed): Dose {
            $dose = $this->doses->give($id, $system, $user, $typed);
            if ($dose->course_id !== null) {
                return $dose;
            }
            $agent = $this->agents->agents[$dose->thing] ?? null;
            if ($agent === null || $dose->way !== 'prolonged' || $dose->mg_l === null) {
                throw BadInput::at('thing', 'A course is of an agent that stays in the water.');
            }
            if (
                Course::query()
                    ->where('system_id', $system->id)
                    ->where('thing', $dose->thing)
                    ->where('vessel_id', $dose->vessel_id)
                    ->whereNull('ended_at')
                    ->exists()
            ) {
                throw BadInput::at('thing', 'A course of it runs here already: give its next dose on the Course page.');
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
     * @param  array<array-key, mixed>  $typed  `met` and `reason`
     *
     * @throws BadInput
     */
    public function carryOn(string $id, System $system, User $user, Course $course, bool $topUp, array $typed): Dose
    {
        $known = Dose::query()->find(strtoupper($id));
        if ($known !== null) {
            return $known;
        }
        if ($course->ended_at !== null) {
            throw BadInput::at('course', 'This course has ended.');
        }
        $body = $this->bodies->find($system, $course->vessel_id);
        $water = LatestWater::of($system);
        $thing = Dosable::all($system, $this->agents)[$course->thing];
        $judged = $this->report->judge($thing, $this->report->state($system, $body, $water));
        if ($judged['refusals'] !== []) {
            throw BadInput::at('course', implode(' ', $judged['refusals']));
        }
        $reason = is_string($typed['reason'] ?? null) ? trim($typed['reason']) : '';
        $unmet = array_values(
            array_diff($judged['conditions'], array_filter((array) ($typed['met'] ?? []), is_string(...))),
        );
        if ($unmet !== [] && $reason === '') {
            throw BadInput::at(
                'reason',
                'Not done yet: ' . implode(' ', $unmet) . ' Do it and tick it, or say why it is given all the same.',
            );
        }
        $plan = $this->courses->plan($course, $water->valueOrAssumed(Parameter::Temperature));
        if (!$topUp && $plan->complete) {
            throw BadInput::at('course', 'All its doses are given.');
        }
        if (!$topUp && $plan->broken) {
            throw BadInput::at('course', $plan->says);
        }
        $amount = Measures::down($this->courses->topUp($system, $water, $course));
        if ($amount <= 0) {
            throw BadInput::at('course', 'The water stands at its level: nothing is to be added now.');
        }
        $agent = $this->agents->get($course->thing);
        $input = $this->input($system, $course, $body);

        return DB::transaction(function () use (
            $id,
            $system,
            $user,
            $course,
            $agent,
            $amount,
            $body,
            $input,
            $topUp,
            $judged,
            $unmet,
            $reason,
            $thing,
        ): Dose {
            $dose = Dose::query()->create([
                'id' => strtoupper($id),
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
                'input' => [...$input, 'top_up' => $topUp],
                'conditions' => $judged['conditions'],
                'override_reason' => $unmet === [] ? null : mb_substr($reason, 0, 200),
                'given_at' => Carbon::now(),
            ]);
            TakeFromShelf::take($dose, DoseReport::good($system, $thing));

            return $dose;
        });
    }

    /** @return array<string, mixed> what the amount follows from */
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
