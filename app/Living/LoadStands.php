<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\System;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Since when a system has had the fish, the feed and the flow it has, as far as the book tells. */
final readonly class LoadStands
{
    /** The last arrival, move or feed figure, or when flow was last taken away; null where none is written down. */
    public static function since(System $system): ?Carbon
    {
        $row = DB::selectOne(
            <<<'SQL'
            SELECT greatest(
                (SELECT max(since) FROM feed_figures WHERE system_id = ? AND since <= ?),
                (SELECT max(arrived_on) FROM fish_groups WHERE system_id = ?),
                (SELECT max(happened_on) FROM fish_events WHERE to_system_id = ?)
            ) AS day,
            (SELECT max(happened_at) FROM switchings WHERE system_id = ? AND withdrawn_at IS NULL
                AND state <> 'on' AND kind IN ('water', 'airlift', 'valve')) AS switched
            SQL
            ,
            [
                $system->id,
                Carbon::today($system->site->timezone)->toDateString(),
                $system->id,
                $system->id,
                $system->id,
            ],
        );
        $day = is_object($row) ? $row->day ?? null : null;
        $switched = is_object($row) ? $row->switched ?? null : null;
        $times = array_filter([
            is_string($day) ? Carbon::parse($day, $system->site->timezone) : null,
            is_string($switched) ? Carbon::parse($switched) : null,
        ]);

        return $times === [] ? null : max($times);
    }
}
