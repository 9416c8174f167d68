<?php

declare(strict_types=1);

namespace App\Transfer;

use App\Models\Site;
use Illuminate\Support\Facades\DB;

/** Takes a site out of the book with all that belongs to it: nothing of it can be had back but from a backup. */
final readonly class RemoveSite
{
    /** @return int rows that went */
    public function remove(Site $site): int
    {
        return DB::transaction(static function () use ($site): int {
            $site->newQuery()->whereKey($site->id)->lock('for update')->firstOrFail();
            $people = DB::table('users')->where('site_id', $site->id)->pluck('id');
            DB::table('sessions')->whereIn('user_id', $people)->delete();
            $rows = 0;
            foreach (BookTables::OWN_KIND as $table => $column) {
                DB::table($table)
                    ->where('site_id', $site->id)
                    ->update([$column => null]);
            }
            foreach (array_reverse(BookTables::ALL) as $table) {
                $query = DB::table($table);
                match ($table) {
                    'sites' => $query->where('id', $site->id),
                    'probe_readings', 'probe_sums' => $query->whereIn(
                        'system_id',
                        DB::table('systems')->select('id')->where('site_id', $site->id),
                    ),
                    default => $query->where('site_id', $site->id),
                };
                $rows += $query->delete();
            }

            return $rows;
        });
    }
}
