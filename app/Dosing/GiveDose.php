<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Models\Charge;
use App\Models\Course;
use App\Models\Dose;
use App\Models\System;
use App\Models\User;
use App\Readings\LatestWater;
use App\Shelf\TakeFromShelf;
use App\Volumes\WaterBodies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Dose\ZeoliteCalculator;

/**
 * Books a dose, worked out anew from the state of the water as it is now: what conflicts refuse is refused here
 * too, whoever asks. Conditions are met, or overridden with a reason that stays in the book.
 */
final readonly class GiveDose
{
    public function __construct(private DoseReport $report, private AgentTable $agents, private WaterBodies $bodies) {}

    /**
     * @param  array<array-key, mixed>  $typed  the fields of the bench, `thing`, `body`, `met` (conditions) and
     *     `reason`
     *
     * @throws BadInput
     */
    public function give(string $id, System $system, User $user, array $typed, ?Course $course = null): Dose
    {
        $known = Dose::query()->find(strtoupper($id));
        if ($known !== null) {
            return $known->system_id === $system->id
                ? $known
                : throw BadInput::at('id', 'This dose is booked for another system already.');
        }
        $text = static fn(string $key): string => is_string($typed[$key] ?? null) ? trim($typed[$key]) : '';
        $thing =
            Dosable::all($system, $this->agents)[$text('thing')] ??
            throw BadInput::at('thing', 'Say what is to be given.');
        $body = $this->bodies->find($system, $text('body') === '' ? null : $text('body'));
        $water = LatestWater::of($system);
        $answer = $this->report->answer(
            $system,
            $water,
            $thing,
            $body,
            $this->report->state($system, $body, $water),
            $typed,
        );
        if ($answer['refusals'] !== []) {
            throw BadInput::at('thing', implode(' ', array_filter((array) $answer['refusals'], is_string(...))));
        }
        $bench = (array) $answer['bench'];
        $errors = array_filter((array) ($bench['errors'] ?? []), is_string(...));
        if ($errors !== []) {
            throw new BadInput($errors);
        }
        if (($bench['refused'] ?? false) === true) {
            throw BadInput::at('thing', 'This would harm the fish as the water is now: see what stands in red.');
        }
        if ($answer['amount'] === null || !is_numeric($answer['amount']) || (float) $answer['amount'] <= 0) {
            throw BadInput::at(
                'thing',
                'There is nothing to give: something is missing still, or the level is reached.',
            );
        }
        $unmet = array_values(
            array_diff(
                array_filter((array) $answer['conditions'], is_string(...)),
                array_filter((array) ($typed['met'] ?? []), is_string(...)),
            ),
        );
        if ($unmet !== [] && $text('reason') === '') {
            throw BadInput::at(
                'reason',
                'Not done yet: ' . implode(' ', $unmet) . ' Do it and tick it, or say why it is given all the same.',
            );
        }
        // What is booked is what is weighed: rounded down to the step of the scale.
        $unit = is_string($answer['unit']) ? $answer['unit'] : 'g';
        $amount = Measures::down((float) $answer['amount'], $unit === 'g' ? DoseReport::scale($typed) : null);
        if ($amount <= 0) {
            throw BadInput::at(
                'thing',
                'That is less than the scale can show: make a stock solution, or use a finer scale.',
            );
        }
        // A bath may be smaller than the system; what was worked out on is what is kept.
        $asked = ((array) $bench['input'])['volume_l'] ?? null;
        $volume = is_numeric($asked) && (float) $asked > 0 ? (float) $asked : $body->volumeL;
        $way = is_string($answer['way']) ? $answer['way'] : 'prolonged';

        return DB::transaction(function () use (
            $id,
            $system,
            $user,
            $thing,
            $body,
            $answer,
            $amount,
            $volume,
            $unit,
            $way,
            $unmet,
            $text,
            $bench,
            $course,
        ): Dose {
            $own = ['site_id' => $system->site_id, 'system_id' => $system->id, 'user_id' => $user->id];
            if ($thing->id === 'zeolite') {
                $capacity = ((array) $bench['input'])['capacity_mg_n_per_g'] ?? ZeoliteCalculator::CAPACITY_MG_N_PER_G;
                Charge::query()->create([
                    ...$own,
                    'kind' => 'zeolite',
                    'mass_g' => $amount,
                    'capacity_mg_n_per_g' => is_numeric($capacity)
                        ? (float) $capacity
                        : ZeoliteCalculator::CAPACITY_MG_N_PER_G,
                    'put_in_at' => Carbon::now(),
                ]);
            }

            $dose = Dose::query()->create([
                ...$own,
                'id' => strtoupper($id),
                'vessel_id' => $body->vesselId,
                'course_id' => $course?->id,
                'thing' => match ($thing->id) {
                    'chloride_guard' => 'salt',
                    'peroxide_oxygen' => 'hydrogen_peroxide',
                    default => $thing->good === null ? $thing->id : 'own',
                },
                'name' => $thing->name,
                'way' => $way,
                'amount' => $amount,
                'unit' => $unit,
                'mg_l' =>
                    $thing->id === 'ammonium'
                        ? self::nitrogen($bench, $amount / (float) $answer['amount'])
                        : ($thing->id === 'zeolite' ||
                        !in_array($thing->conflict, array_keys($this->agents->agents), true)
                            ? null
                            : ((1000 * $amount) / $volume) * $this->activeShare($thing, $bench)),
                'volume_l' => $volume,
                'calc' => $thing->bench->calculator,
                'input' => (array) $bench['input'],
                'conditions' => $answer['conditions'],
                'override_reason' => $unmet === [] ? null : mb_substr($text('reason'), 0, 200),
                'given_at' => Carbon::now(),
                'minutes' => $answer['minutes'],
            ]);
            TakeFromShelf::take($dose, DoseReport::good($system, $thing));

            return $dose;
        });
    }

    /**
     * What a dose of ammonium lifts the ammonia by, mg/L as N.
     *
     * @param  array<array-key, mixed>  $bench
     */
    private static function nitrogen(array $bench, float $weighed): float
    {
        $input = (array) $bench['input'];
        $level = static fn(string $key): float => is_numeric($input[$key] ?? null) ? (float) $input[$key] : 0.0;

        return $weighed * max(0.0, $level('target_mg_l') - $level('tan_mg_l'));
    }

    /**
     * How much of the product is what is counted in mg/L: the strength of what is bought by strength, all of the rest.
     *
     * @param  array<array-key, mixed>  $bench
     */
    private function activeShare(Dosable $thing, array $bench): float
    {
        $strength = ((array) $bench['input'])['strength_pct'] ?? null;

        return match (true) {
            !is_numeric($strength) => 1.0,
            $thing->agent?->strengthPct !== null => (float) $strength / $thing->agent->strengthPct,
            default => (float) $strength / 100,
        };
    }
}
