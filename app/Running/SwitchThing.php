<?php

declare(strict_types=1);

namespace App\Running;

use App\Living\BookStop;
use App\Models\Pump;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** Books that something was switched, and what standing meanwhile cost the filter. Stands in a transaction of its system. */
final readonly class SwitchThing
{
    public function __construct(private BookStop $stops) {}

    /** @throws BadInput at `state` or `at` */
    public function switch(
        string $id,
        System $system,
        User $user,
        Pump|Stage $part,
        string $state,
        Carbon $at,
        ?string $reason,
    ): void {
        if (Switching::query()->whereKey($id)->exists()) {
            return;
        }
        $was = $part instanceof Pump ? $part->state : $part->lamp_state;
        if ($state === $was) {
            throw BadInput::at('state', "{$part->name} is " . Switching::said($state) . ' already.');
        }
        if ($part instanceof Stage && $state === 'lent') {
            throw BadInput::at('state', 'A lamp is on, off, or on alternate days.');
        }
        $before = Switching::latest($part->id);
        if ($before !== null && $at->lt($before->happened_at)) {
            throw BadInput::at('at', 'It was switched after that: undo that first.');
        }
        $stood = $part instanceof Pump && $part->circulates() && self::standsWith($system, $part, $state);
        $row = Switching::query()->create([
            'id' => $id,
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $user->id,
            'thing' => $part instanceof Pump ? 'pump' : 'lamp',
            'part_id' => $part->id,
            'name' => $part->name,
            'kind' => $part instanceof Pump ? $part->kind : 'lamp',
            'state' => $state,
            'was' => $was,
            'happened_at' => $at,
            'reason' => $reason,
        ]);
        self::set($part, $state);
        if ($stood && $before !== null) {
            $this->stops->switched($system, $row, max(0.0, $before->happened_at->diffInHours($at)), $user->id);
        }
    }

    /** It was not so: the part is what it was before, and nothing was lost by it. */
    public function undo(Switching $row, System $system): void
    {
        if (Switching::latest($row->part_id)?->id !== $row->id) {
            throw BadInput::at('id', 'It was switched again since: undo that first.');
        }
        $row->update(['withdrawn_at' => Carbon::now()]);
        Setback::query()->where('switching_id', $row->id)->delete();
        $part =
            $row->thing === 'pump'
                ? $system->pumps->firstWhere('id', $row->part_id)
                : $system->stages->firstWhere('id', $row->part_id);
        if ($part !== null) {
            self::set($part, $row->was);
        }
    }

    private static function set(Pump|Stage $part, string $state): void
    {
        if ($part instanceof Pump) {
            $part->state = $state;
            $part->running = in_array($state, ['on', 'alternate'], true);
        } else {
            $part->lamp_state = $state;
        }
        $part->save();
    }

    /** Whether nothing flowed until this pump was switched on. */
    private static function standsWith(System $system, Pump $pump, string $state): bool
    {
        return in_array($state, ['on', 'alternate'], true) &&
            !Running::circulating($system)->contains(static fn(Pump $one): bool => $one->running);
    }
}
