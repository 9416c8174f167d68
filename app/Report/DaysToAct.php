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
use Ironwort\Core\Judge\Spell;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Interval;

/**
 * Times of a period in which a reading was to be acted on, or worse, judged by the limits in force now; with what was
 * done meanwhile.
 */
final readonly class DaysToAct
{
    public function __construct(private LimitsInForce $limits) {}

    /** @return list<ReportRow> */
    public function of(System $system, Period $period): array
    {
        $readings = $this->readings($system, $period);
        $salt = $this->salt($system, $period);
        $read = [];
        /** @var array<string, non-empty-array<string, float>> $days the worst of each day, by parameter */
        $days = [];
        foreach ([...$readings, ...$this->unionised($system, $period)] as [$day, $reading]) {
            $limits = $this->limits
                ->for($system, $reading->parameter)
                ->shielded($reading->parameter === Parameter::Nitrite ? self::standing($salt, $day) : 0.0);
            $verdict = $limits->judge($reading->heard());
            $read[$reading->parameter->value][$day] = true;
            if (!$verdict->state->worseThan(State::Watch)) {
                continue;
            }
            $key = "{$reading->parameter->value} {$verdict->side}";
            $so = $days[$key][$day] ?? $reading->value;
            $days[$key][$day] = $verdict->side === 'below' ? min($so, $reading->value) : max($so, $reading->value);
        }

        $done = DoneAbout::in($system, $period);
        $rows = [];
        foreach ($days as $key => $of) {
            [$id, $side] = explode(' ', $key);
            foreach (Spell::of($of, array_keys($read[$id] ?? []), $side === 'below') as $spell) {
                $rows[] = self::row(Parameter::from($id), $side === 'below', $spell, $done->while($spell));
            }
        }
        usort($rows, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($rows, 1);
    }

    /**
     * @param  list<string>  $done  meanwhile
     * @return array{string, ReportRow} the day it began, and what is told of it
     */
    private static function row(Parameter $parameter, bool $low, Spell $spell, array $done): array
    {
        $unit = $parameter->symbol() === null ? '' : " {$parameter->symbol()}";
        $day = static fn(string $on): string => Carbon::parse($on)->format('j M');
        $days = $spell->days();
        $when =
            $days === 1
                ? $day($spell->from) . ', at worst '
                : "{$day($spell->from)} to {$day($spell->until)}, {$days} days, at worst ";

        return [
            $spell->from,
            new ReportRow(
                'to_act',
                $parameter->name() . ($low ? ' too low' : ' too high'),
                $when .
                    Format::number($parameter->shown($spell->worst), 3) .
                    $unit .
                    ($days === 1 ? '' : " on {$day($spell->worstOn)}") .
                    ($spell->over ? '' : '; not read good since') .
                    ($done === [] ? '; nothing written down against it' : '. Done: ' . implode(', ', $done)),
                $days,
                'days',
            ),
        ];
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
