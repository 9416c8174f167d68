<?php

declare(strict_types=1);

namespace App\Service;

use App\Http\MadeAt;
use App\Models\Pump;
use App\Models\Service;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Models\User;
use App\Running\SwitchThing;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Service\Step;
use Ironwort\Core\Words\Message;

/** A run of service step by step: begun, ticked by anybody, flow seen. Stands in a transaction of its system. */
final readonly class RunService
{
    public function __construct(private SwitchThing $switches) {}

    /** The same key again changes nothing. */
    public function begin(string $id, System $system, User $user, PlannedRun $plan): Service
    {
        $steps = array_map(
            static fn(Step $step): array => [
                ...$step->message->toArray(),
                'switches' => $step->switches,
                'on' => $step->on,
                'flow' => $step->flow,
                'after_flow' => $step->afterFlow,
                'caution' => $step->caution,
                'done_at' => null,
                'done_by' => null,
            ],
            $plan->steps,
        );

        return Service::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $user->id,
                'job' => $plan->job->id,
                'job_name' => $plan->job->name,
                'part_kind' => $plan->part->kind,
                'part_id' => $plan->part->id,
                'name' => $plan->part->name,
                'way' => $plan->stops ? 'stopped' : 'throttled',
                'rinse' => $plan->rinse,
                'steps' => $steps,
                'started_at' => Carbon::now(),
                'planned_min' => $plan->minutes,
                'water_l' => $plan->waterL,
            ],
        );
    }

    /** @throws BadInput at `step` */
    public function tick(Service $run, System $system, User $user, int $at, bool $done): void
    {
        $steps = $run->steps;
        if (!isset($steps[$at])) {
            throw BadInput::at('step', 'There is no such step.');
        }
        if (!$run->open()) {
            throw BadInput::at('step', 'This run is closed.');
        }
        $step = $steps[$at];
        if ($done && $step['after_flow'] && $run->flow_seen_at === null) {
            throw BadInput::at('step', Message::of('service.flow_first')->text, ['service.flow_first']);
        }
        if ($done && $step['flow'] && $run->flow_seen_at === null) {
            throw BadInput::at('step', Message::of('service.flow_first')->text, ['service.flow_first']);
        }
        if ($done && $step['done_at'] === null && $step['switches'] !== null) {
            $this->switch($run, $system, $user, $step['switches'], $step['on']);
        }
        $steps[$at] = [
            ...$step,
            'done_at' => $done ? $step['done_at'] ?? MadeAt::now()->toIso8601ZuluString() : null,
            'done_by' => $done ? $step['done_by'] ?? $user->name : null,
        ];
        $run->update(['steps' => $steps]);
    }

    /** Somebody saw water flow: by a figure, or at every return. */
    public function flow(Service $run, User $user, ?float $litres): void
    {
        $run->update([
            'flow_seen_at' => MadeAt::now(),
            'flow_seen_by' => $user->id,
            'flow_l_h' => $litres ?? $run->flow_l_h,
            'steps' => array_map(
                static fn(array $step): array => $step['flow'] && $step['done_at'] === null
                    ? [...$step, 'done_at' => MadeAt::now()->toIso8601ZuluString(), 'done_by' => $user->name]
                    : $step,
                $run->steps,
            ),
        ]);
    }

    /**
     * What keeps a run from being closed: flow that nobody saw, and what it switched off that is off still.
     *
     * @return list<Message>
     */
    public function open(Service $run, System $system): array
    {
        $wants = array_filter($run->steps, static fn(array $step): bool => $step['flow']) !== [];
        $off = [];
        foreach ($run->steps as $step) {
            $part = $step['switches'] === null || $step['on'] ? null : self::part($system, $step['switches']);
            if ($part !== null && $step['done_at'] !== null && self::state($part) === 'off') {
                $off[$part->id] = Message::of('service.still_off', ['name' => $part->name]);
            }
        }

        return [
            ...$wants && $run->flow_seen_at === null ? [Message::of('service.flow_first')] : [],
            ...array_values($off),
        ];
    }

    private function switch(Service $run, System $system, User $user, string $id, bool $on): void
    {
        $part = self::part($system, $id);
        if ($part === null || (self::state($part) === 'on') === $on) {
            return;
        }
        $latest = Switching::latest($part->id);
        // What ran on alternate days does so again.
        $state = match (true) {
            !$on => 'off',
            $latest?->was === 'alternate' => 'alternate',
            default => 'on',
        };
        // A step that waited for the signal was done when it was told on the device, and after what is booked.
        $at = MadeAt::now();
        $at = $latest === null ? $at : $at->max($latest->happened_at);
        $this->switches->switch(
            strtoupper((string) Str::ulid()),
            $system,
            $user,
            $part,
            $state,
            $at,
            mb_substr('service: ' . lcfirst($run->job_name) . " of {$run->name}", 0, 200),
        );
        $system->unsetRelations();
    }

    private static function part(System $system, string $id): Pump|Stage|null
    {
        return $system->pumps->firstWhere('id', $id) ?? $system->stages->firstWhere('id', $id);
    }

    private static function state(Pump|Stage $part): string
    {
        $state = $part instanceof Pump ? $part->state : $part->lamp_state;

        return $state === 'off' ? 'off' : 'on';
    }
}
