<?php

declare(strict_types=1);

namespace App\Running;

use App\Models\Sleep;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;

/** Puts a system to sleep, or wakes it: what it slept through stays in the book, since its filter starved meanwhile. */
final readonly class SleepSystem
{
    public function turn(System $system, bool $asleep, User $person): void
    {
        if (!$asleep && $system->asleep_since !== null) {
            Sleep::query()->create([
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $person->id,
                'slept_from' => $system->asleep_since,
                'woke_at' => Carbon::now(),
            ]);
        }
        $system->asleep_since = $asleep ? $system->asleep_since ?? Carbon::now() : null;
        $system->save();
    }
}
