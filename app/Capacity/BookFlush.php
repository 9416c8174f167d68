<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\Flush;
use App\Models\Stage;
use App\Models\System;
use App\Models\User;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** Books that a stage was flushed or looked at, and takes it back. Stands in a transaction of its system. */
final readonly class BookFlush
{
    /** @throws BadInput at `at` where a later one is written down */
    public function book(string $id, System $system, User $user, Stage $stage, Carbon $at, ?float $seenPct): void
    {
        if (Flush::query()->whereKey($id)->exists()) {
            return;
        }
        $before = Flush::latest($stage->id);
        if ($before !== null && $at->lt($before->happened_at)) {
            throw BadInput::at('at', 'A later one is booked: undo that first.');
        }
        Flush::query()->create([
            'id' => $id,
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $user->id,
            'stage_id' => $stage->id,
            'name' => $stage->name,
            'happened_at' => $at,
            'seen_pct' => $seenPct,
            'was_cleaned_on' => $stage->cleaned_on?->toDateString(),
            'was_fouling_pct' => $stage->fouling_pct,
            'was_fouling_seen_on' => $stage->fouling_seen_on?->toDateString(),
        ]);
        $day = $at->copy()->setTimezone($system->site->timezone)->toDateString();
        $stage
            ->fill(
                $seenPct === null
                    ? ['cleaned_on' => $day, 'fouling_pct' => null, 'fouling_seen_on' => null]
                    : ['fouling_pct' => $seenPct, 'fouling_seen_on' => $day],
            )
            ->save();
    }

    /** It was not so: the stage is again what it was told to be before. */
    public function undo(Flush $flush, System $system): void
    {
        if (Flush::latest($flush->stage_id)?->id !== $flush->id) {
            throw BadInput::at('id', 'A later one is booked: undo that first.');
        }
        $flush->update(['withdrawn_at' => Carbon::now()]);
        $system->stages
            ->firstWhere('id', $flush->stage_id)
            ?->fill([
                'cleaned_on' => $flush->was_cleaned_on?->toDateString(),
                'fouling_pct' => $flush->was_fouling_pct,
                'fouling_seen_on' => $flush->was_fouling_seen_on?->toDateString(),
            ])
            ->save();
    }
}
