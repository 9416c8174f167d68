<?php

declare(strict_types=1);

namespace App\Variants;

use App\Build\BuildRows;
use App\Models\System;
use Illuminate\Support\Facades\DB;

/** Removes a build that is only planned, with its parts: no book speaks of it. Stands in a transaction. */
final readonly class RemovePlan
{
    public static function of(System $plan): void
    {
        DB::update('UPDATE lines SET three_way_id = NULL WHERE system_id = ?', [$plan->id]);
        DB::update('UPDATE stages SET chamber_id = NULL WHERE system_id = ?', [$plan->id]);
        foreach (['build_changes', ...array_reverse(BuildRows::TABLES)] as $table) {
            DB::delete("DELETE FROM {$table} WHERE system_id = ?", [$plan->id]);
        }
        $plan->delete();
    }
}
