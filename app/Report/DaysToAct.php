<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\System;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Derived;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;

/** Days of a period on which a reading was to be acted on, or worse, judged by the limits in force now. */
final readonly class DaysToAct
{
    public function __construct(private LimitsInForce $limits) {}

    /** @return list<ReportRow> */
    public function of(System $system, Period $period): array
    {
        $readings = $this->readings($system, $period);
        $salt = $this->salt($system, $period);
        /** @var array<string, non-empty-array<string, float>> $days the worst of each day, by parameter */
        $days = [];
        foreach ([...$readings, ...$this->unionised($system, $period)] as [$day, $reading]) {
            $limits = $this->limits
                ->for($system, $reading->parameter)
                ->shielded($reading->parameter === Parameter::Nitrite ? self::standing($salt, $day) : 0.0);
            $verdict = $limits->judge($reading->heard());
            if (!$verdict->state->worseThan(State::Watch)) {
                continue;
            }
            $key = "{$reading->parameter->value} {$verdict->side}";
            $so = $days[$key][$day] ?? $reading->value;
            $days[$key][$day] = $verdict->side === 'below' ? min($so, $reading->value) : max($so, $reading->value);
        }

        $rows = [];
        foreach ($days as $key => $of) {
            $rows[] = self::row($key, $of);
        }

        return $rows;
    }

    /** @param  non-empty-array<string, float>  $days */
    private static function row(string $key, array $days): ReportRow
    {
        [$id, $side] = explode(' ', $key);
        $parameter = Parameter::from($id);
        $unit = $parameter->symbol() === null ? '' : " {$parameter->symbol()}";
        $worst = $side === 'below' ? min($days) : max($days);
        $on = Carbon::parse((string) array_search($worst, $days, true))->format('j M');
        $count = count($days);

        return new ReportRow(
            'to_act',
            $parameter->name() . ($side === 'below' ? ' too low' : ' too high'),
            ($count === 1 ? 'one day' : "{$count} days") .
                ', at worst ' .
                Format::number($parameter->shown($worst), 3) .
                "{$unit} on {$on}",
            $count,
            'days',
        );
    }

    /** @return array<string, float> g/L of salt by the day it was read, the low end, up to the end of the period */
    private function salt(System $system, Period $period): array
    {
        /** @var list<object{day: string, low: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT (r.taken_at AT TIME ZONE ?)::date::text AS day, min(r.low) AS low
            FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.parameter = ? AND r.taken_at < ?
            GROUP BY 1 ORDER BY 1
            SQL
            ,
            [$system->site->timezone, $system->id, Parameter::Salinity->value, $period->until],
        );
        $salt = [];
        foreach ($rows as $row) {
            $salt[$row->day] = (float) $row->low;
        }

        return $salt;
    }

    /** @param  array<string, float>  $salt  as it was read last by that day */
    private static function standing(array $salt, string $day): float
    {
        $until = array_filter($salt, static fn(string $read): bool => $read <= $day, ARRAY_FILTER_USE_KEY);

        return $until === [] ? 0.0 : end($until);
    }

    /**
     * The lowest and the highest reading of each day.
     *
     * @return list<array{string, Reading}>
     */
    private function readings(System $system, Period $period): array
    {
        /** @var list<object{day: string, parameter: string, value: string, low: string, high: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            WITH told AS (
                SELECT (r.taken_at AT TIME ZONE ?)::date::text AS day, r.parameter, r.value, r.low, r.high
                FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
                WHERE r.system_id = ? AND r.taken_at >= ? AND r.taken_at < ?
            )
            (SELECT DISTINCT ON (day, parameter) * FROM told ORDER BY day, parameter, low)
            UNION
            (SELECT DISTINCT ON (day, parameter) * FROM told ORDER BY day, parameter, high DESC)
            ORDER BY parameter, day
            SQL
            ,
            [$system->site->timezone, $system->id, $period->from, $period->until],
        );

        return array_map(
            static fn(object $row): array => [
                $row->day,
                self::reading(Parameter::from($row->parameter), $row->value, $row->low, $row->high),
            ],
            $rows,
        );
    }

    /**
     * Un-ionised ammonia of every test that read what it follows from.
     *
     * @return list<array{string, Reading}>
     */
    private function unionised(System $system, Period $period): array
    {
        /** @var list<object{day: string, of: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT min((r.taken_at AT TIME ZONE ?)::date)::text AS day,
                json_object_agg(r.parameter, json_build_array(r.value, r.low, r.high)) AS of
            FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at >= ? AND r.taken_at < ?
                AND r.parameter IN ('tan_mg_l', 'ph', 'temp_c', 'salinity_g_l')
            GROUP BY r.visit_id
            HAVING count(*) FILTER (WHERE r.parameter <> 'salinity_g_l') = 3
            SQL
            ,
            [$system->site->timezone, $system->id, $period->from, $period->until],
        );

        return array_map(static function (object $row): array {
            /** @var array<string, array{float, float, float}> $of */
            $of = json_decode($row->of, true, flags: JSON_THROW_ON_ERROR);
            $read = static fn(Parameter $one): Reading => self::reading($one, ...$of[$one->value]);

            return [
                $row->day,
                Derived::unionisedAmmonia(
                    $read(Parameter::Ammonia),
                    $read(Parameter::Ph),
                    $read(Parameter::Temperature),
                    $of[Parameter::Salinity->value][0] ?? 0.0,
                ),
            ];
        }, $rows);
    }

    private static function reading(
        Parameter $parameter,
        string|float $value,
        string|float $low,
        string|float $high,
    ): Reading {
        return new Reading($parameter, (float) $value, Interval::between((float) $low, (float) $high));
    }
}
