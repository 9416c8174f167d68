<?php

declare(strict_types=1);

namespace App\Book;

use App\Expected\ExpectedWater;
use App\Models\System;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;

/**
 * The history of a system as strips on one time axis, drawn in to what the pixels can show.
 *
 * Readings that fall on one pixel are one point: their mean, from the lowest of their low ends to the
 * highest of their high ends. The database does the drawing in, so that what is stored does not travel.
 */
final readonly class ScoreReport
{
    /** Never more points a strip than this. */
    public const MOST_POINTS = 2000;

    /** Over a longer time single changes are too close together to be told apart. */
    private const EXPECTED_DAYS = 400;

    public function __construct(
        private LimitsInForce $limits,
        private BookReport $book,
        private ProbeBook $probes,
        private ExpectedWater $expected,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, Carbon $from, Carbon $to, int $pixels): array
    {
        $pixels = max(50, min(self::MOST_POINTS, $pixels));
        $step = max(1.0, $to->diffInSeconds($from, true) / $pixels);
        /** @var list<object{parameter: string, t: string, value: string, low: string, high: string, n: int}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT r.parameter, avg(extract(epoch FROM r.taken_at)) AS t, avg(r.value) AS value, min(r.low) AS low,
                max(r.high) AS high, count(*) AS n
            FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at BETWEEN ? AND ?
            GROUP BY r.parameter, floor(extract(epoch FROM r.taken_at) / ?)
            ORDER BY r.parameter, t
            SQL
            ,
            [$system->id, $from, $to, $step],
        );
        $points = [];
        foreach ([...$rows, ...$this->probes->points($system, $from, $to, $step)] as $row) {
            $shown = Parameter::from($row->parameter)->shown(...);
            $points[$row->parameter][] = [
                't' => (int) round((float) $row->t),
                'v' => $shown((float) $row->value),
                'low' => $shown((float) $row->low),
                'high' => $shown((float) $row->high),
                'n' => (int) $row->n,
            ];
        }
        foreach ($points as $key => $run) {
            usort($run, static fn(array $a, array $b): int => $a['t'] <=> $b['t']);
            $points[$key] = $run;
        }
        $strips = [];
        foreach (Parameter::measured() as $parameter) {
            if (isset($points[$parameter->value])) {
                $strips[] = $this->strip($system, $parameter, $points[$parameter->value]);
            }
        }

        $expected =
            $to->diffInDays($from, true) <= self::EXPECTED_DAYS ? $this->expected->course($system, $from, $to) : [];
        $strips = array_map(
            static fn(array $strip): array => [
                ...$strip,
                'expected' => $expected[is_string($strip['parameter']) ? $strip['parameter'] : ''] ?? [],
            ],
            $strips,
        );

        return [
            'from' => $from->getTimestamp(),
            'to' => $to->getTimestamp(),
            'strips' => $strips,
            'marks' => array_map(
                static fn(array $mark): array => [
                    't' => Carbon::parse($mark['at'])->getTimestamp(),
                    'kind' => $mark['kind'],
                    'text' => $mark['text'],
                ],
                $this->book->marks($system, $from, $to),
            ),
        ];
    }

    /**
     * @param  list<array{t: int, v: float, low: float, high: float, n: int}>  $points
     * @return array<string, mixed>
     */
    private function strip(System $system, Parameter $parameter, array $points): array
    {
        $limits = $this->limits->for($system, $parameter);
        $shown = $parameter->shown(...);

        return [
            'parameter' => $parameter->value,
            'name' => $parameter->name(),
            'unit' => $parameter->symbol(),
            'points' => $points,
            'above' => $limits->above === null ? null : $shown($limits->above->watch),
            'below' => $limits->below === null ? null : $shown($limits->below->watch),
        ];
    }
}
