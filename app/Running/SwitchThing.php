<?php

declare(strict_types=1);

namespace App\Running;

use App\Living\BookStop;
use App\Models\AirOutlet;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/**
 * Books that something was switched, and what standing meanwhile cost the filter. Stands in a transaction of its
 * system.
 */
final readonly class SwitchThing
{
    public function __construct(private BookStop $stops) {}

    /** @throws BadInput at `state` or `at` */
    public function switch(
        string $id,
        System $system,
        User $user,
        Pump|Stage|Line|AirOutlet $part,
        string $state,
        Carbon $at,
        ?string $reason,
        ?System $to = null,
    ): void {
        if (Switching::query()->whereKey($id)->exists()) {
            return;
        }
        [$thing, $was] = match (true) {
            $part instanceof Pump => ['pump', $part->state],
            $part instanceof Stage => ['lamp', $part->lamp_state],
            $part instanceof AirOutlet => ['outlet', $part->state()],
            default => ['valve', $part->valveState()],
        };
        if ($state === $was) {
            throw BadInput::at('state', "{$part->name} is " . Switching::said($state, $thing) . ' already.');
        }
        if ($part instanceof Stage && $state === 'lent') {
            throw BadInput::at('state', 'A lamp is on, off, or on alternate days.');
        }
        if ($to !== null && ($state !== 'lent' || $to->id === $system->id)) {
            throw BadInput::at('to', 'Choose the system it is lent to.');
        }
        if (($part instanceof Line || $part instanceof AirOutlet) && !in_array($state, ['on', 'off'], true)) {
            throw BadInput::at('state', 'A valve is open or shut.');
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
            'thing' => $thing,
            'part_id' => $part->id,
            'name' => $part->name,
            'kind' => $part instanceof Pump ? $part->kind : $thing,
            'state' => $state,
            'to_system_id' => $to?->id,
            'was' => $was,
            'was_pct' => $part instanceof Line ? $part->valve_open_pct : null,
            'happened_at' => $at,
            'reason' => $reason,
        ]);
        self::set($part, $state, $before?->was_pct, $to?->id);
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
        $part = match ($row->thing) {
            'pump' => $system->pumps->firstWhere('id', $row->part_id),
            'lamp' => $system->stages->firstWhere('id', $row->part_id),
            'outlet' => $system->airOutlets->firstWhere('id', $row->part_id),
            default => $system->lines->firstWhere('id', $row->part_id),
        };
        if ($part !== null) {
            $before = $row->was === 'lent' ? Switching::latest($row->part_id) : null;
            self::set($part, $row->was, $row->was_pct, $before?->to_system_id);
        }
    }

    /**
     * @param  ?float  $pct  how far a valve stood open before it was shut
     * @param  ?string  $to  the system a pump is lent to
     */
    private static function set(Pump|Stage|Line|AirOutlet $part, string $state, ?float $pct, ?string $to): void
    {
        if ($part instanceof Pump) {
            $part->state = $state;
            $part->lent_to_id = $to;
            $part->running = in_array($state, ['on', 'alternate'], true);
        } elseif ($part instanceof Stage) {
            $part->lamp_state = $state;
        } elseif ($part instanceof AirOutlet) {
            $part->open = $state === 'on';
        } else {
            $part->valve_open_pct = $state === 'off' ? 0.0 : ($pct ?: 100.0);
        }
        $part->save();
        if ($part instanceof AirOutlet || ($part instanceof Pump && $part->kind === 'air')) {
            AirOutlet::feedStages(System::query()->findOrFail($part->system_id));
        }
    }

    /** Whether nothing flowed until this pump was switched on. */
    private static function standsWith(System $system, Pump $pump, string $state): bool
    {
        return in_array($state, ['on', 'alternate'], true) &&
            !Running::circulating($system)->contains(static fn(Pump $one): bool => $one->running);
    }
}
