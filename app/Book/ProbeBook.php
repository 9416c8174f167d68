<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\System;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;

/**
 * What probes send, every few minutes for years.
 *
 * Kept as it comes, and summed by hour and day as it comes, so that drawing a year touches days and not
 * minutes. A value sent again for the same moment changes nothing.
 */
final readonly class ProbeBook
{
    public const PARAMETERS = [
        Parameter::Temperature,
        Parameter::Oxygen,
        Parameter::Ph,
        Parameter::Redox,
        Parameter::Salinity,
    ];

    /** Up to so many days minutes are drawn, up to so many hours, beyond that days. */
    private const RAW_DAYS = 8;

    private const HOUR_DAYS = 200;

    /**
     * @param  list<array{float, float}>  $points  seconds since 1970 and value, canonical
     * @return int how many were new
     */
    public function keep(System $system, Parameter $parameter, array $points): int
    {
        $kept = 0;
        DB::transaction(static function () use ($system, $parameter, $points, &$kept): void {
            foreach (array_chunk($points, 5000) as $chunk) {
                $rows = implode(', ', array_fill(0, count($chunk), '(to_timestamp(?), ?::real)'));
                $kept += DB::affectingStatement(
                    <<<SQL
                    WITH sent (taken_at, value) AS (
                        SELECT DISTINCT ON (t) t, v FROM (VALUES {$rows}) AS s (t, v) ORDER BY t
                    ),
                    fresh AS (
                        INSERT INTO probe_readings (system_id, parameter, taken_at, value)
                        SELECT ?, ?, taken_at, value FROM sent ON CONFLICT DO NOTHING RETURNING taken_at, value
                    ),
                    summed AS (
                        INSERT INTO probe_sums AS s (system_id, parameter, width, begins_at, n, total, low, high)
                        SELECT ?, ?, w.width, date_trunc(w.width, f.taken_at, 'UTC'), count(*), sum(f.value),
                            min(f.value), max(f.value)
                        FROM fresh f CROSS JOIN (VALUES ('hour'), ('day')) AS w (width) GROUP BY w.width,
                            date_trunc(w.width, f.taken_at, 'UTC')
                        ON CONFLICT (system_id, parameter, width, begins_at) DO UPDATE SET n = s.n + excluded.n,
                            total = s.total + excluded.total, low = least(s.low, excluded.low),
                                high = greatest(s.high, excluded.high)
                        RETURNING 1
                    )
                    SELECT 1 FROM fresh
                    SQL
                    ,
                    [
                        ...array_merge(...array_map(static fn(array $point): array => [$point[0], $point[1]], $chunk)),
                        $system->id,
                        $parameter->value,
                        $system->id,
                        $parameter->value,
                    ],
                );
            }
        });

        return $kept;
    }

    /**
     * Points of each parameter, drawn in to a step in seconds.
     *
     * @return list<object{parameter: string, t: string, value: string, low: string, high: string, n: string}>
     */
    public function points(System $system, \DateTimeInterface $from, \DateTimeInterface $to, float $step): array
    {
        $days = ($to->getTimestamp() - $from->getTimestamp()) / 86400;
        $sql =
            $days <= self::RAW_DAYS
                ? 'SELECT parameter, avg(extract(epoch FROM taken_at)) AS t, avg(value) AS ' .
                    'value, min(value) AS low, max(value) AS high, count(*) AS n FROM ' .
                    'probe_readings WHERE system_id = ? AND taken_at BETWEEN ? AND ? GROUP BY ' .
                    'parameter, floor(extract(epoch FROM taken_at) / ?) ORDER BY parameter, t'
                : 'SELECT parameter, avg(extract(epoch FROM begins_at)) AS t, sum(total) / ' .
                    'sum(n) AS value, min(low) AS low, max(high) AS high, sum(n) AS n FROM ' .
                    "probe_sums WHERE system_id = ? AND width = '" .
                    ($days <= self::HOUR_DAYS ? 'hour' : 'day') .
                    "' AND begins_at BETWEEN ? AND ? GROUP BY parameter, floor(extract(epoch " .
                    'FROM begins_at) / ?) ORDER BY parameter, t';
        /**
         * @var list<object{parameter: string, t: string, value: string, low: string, high: string, n: string}> $rows
         */
        $rows = DB::select($sql, [$system->id, $from, $to, $step]);

        return $rows;
    }
}
