<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\System;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\TestSchedule;

/** The water of four weeks ago, by which the season is told: whether it warms up or cools down. */
final readonly class MonthAgo
{
    /** A reading so many days before or after the day that is looked back to will do. */
    private const AROUND_D = 10;

    /**
     * @param  Collection<int, System>  $systems
     * @return array<string, ?float> °C by system id; null where nobody measured
     */
    public static function of(Collection $systems): array
    {
        $found = [];
        foreach ($systems as $system) {
            $found[$system->id] = null;
        }
        if ($found === []) {
            return [];
        }
        $ids = implode(', ', array_fill(0, count($found), '(?::char(26))'));
        $then = Carbon::now()->subWeeks(TestSchedule::WEEKS_BACK);
        /** @var list<object{id: string, value: string}> $temperatures */
        $temperatures = DB::select(
            <<<SQL
            SELECT s.id, r.value FROM (VALUES {$ids}) AS s (id) CROSS JOIN LATERAL (
                SELECT r.value FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
                WHERE r.system_id = s.id AND r.parameter = ?::varchar AND r.taken_at > ? AND r.taken_at <= ?
                ORDER BY r.taken_at DESC LIMIT 1
            ) AS r
            SQL
            ,
            [
                ...array_keys($found),
                Parameter::Temperature->value,
                $then->copy()->subDays(self::AROUND_D),
                $then->copy()->addDays(self::AROUND_D / 2),
            ],
        );
        foreach ($temperatures as $row) {
            $found[$row->id] = (float) $row->value;
        }

        return $found;
    }
}
