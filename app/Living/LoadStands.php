<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\System;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Since when a system has had the fish and the feed it has, as far as the book tells. */
final readonly class LoadStands
{
    /** The day of the last arrival, move or feed figure; null where none is written down. */
    public static function since(System $system): ?Carbon
    {
        $row = DB::selectOne(
            <<<'SQL'
            SELECT greatest(
                (SELECT max(since) FROM feed_figures WHERE system_id = ? AND since <= ?),
                (SELECT max(arrived_on) FROM fish_groups WHERE system_id = ?),
                (SELECT max(happened_on) FROM fish_events WHERE to_system_id = ?)
            ) AS day
            SQL
            ,
            [$system->id, Carbon::today($system->site->timezone)->toDateString(), $system->id, $system->id],
        );
        $day = is_object($row) ? $row->day ?? null : null;

        return is_string($day) ? Carbon::parse($day, $system->site->timezone) : null;
    }
}
