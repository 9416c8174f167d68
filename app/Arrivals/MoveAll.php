<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\SingleFish;
use App\Models\System;
use App\Models\User;
use App\Running\SleepSystem;
use Illuminate\Support\Str;

/** All fish of a system as one move, as for winter indoors and out again, and its loop asleep or the other woken. */
final readonly class MoveAll
{
    public function __construct(private FishLeave $leave, private SleepSystem $sleep) {}

    /** @param  array{reason: ?string, happened_on: string, sleep: bool, wake: bool}  $asked */
    public function move(string $id, System $from, System $to, array $asked, User $person): void
    {
        $key = strtoupper($id);
        if (FishEvent::query()->whereKey($key)->exists()) {
            return;
        }
        foreach ($from->fish as $group) {
            if ($group->count === 0) {
                continue;
            }
            $leaving = [
                'count' => $group->count,
                'happened_on' => $asked['happened_on'],
                'reason' => $asked['reason'],
            ];
            $this->leave->leave($key, $group, 'moved', $leaving, $person, $to);
            $this->named($group, $to);
            $key = strtoupper((string) Str::ulid());
        }
        if ($asked['sleep']) {
            $this->sleep->turn($from, true, $person);
        }
        if ($asked['wake'] && $to->asleep_since !== null) {
            $this->sleep->turn($to->refresh(), false, $person);
        }
    }

    /** Those with a name go with their group. */
    private function named(FishGroup $group, System $to): void
    {
        $there = FishGroup::query()
            ->where('system_id', $to->id)
            ->where('name', $group->name)
            ->where('count', '>', 0)
            ->orderByDesc('position')
            ->first();
        SingleFish::query()
            ->where('fish_group_id', $group->id)
            ->whereNull('gone')
            ->update(['system_id' => $to->id, 'fish_group_id' => $there?->id]);
    }
}
