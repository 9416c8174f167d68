<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Dose;
use App\Models\FishEvent;
use App\Models\Pump;
use App\Models\Service;
use App\Models\Setback;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** What a month or a year was in a system: its water, feed, fish, doses, service and what it cost. */
final readonly class SystemReport
{
    /** @return list<ReportRow> */
    public static function of(System $system, Period $period): array
    {
        return [
            ...self::water($system, $period),
            ...self::fed($system, $period),
            ...self::fish($system, $period),
            ...Growth::of($system, $period),
            ...self::doses($system, $period),
            ...self::service($system, $period),
            ...self::costs($system, $period),
        ];
    }

    /** @return list<ReportRow> */
    private static function water(System $system, Period $period): array
    {
        /** @var list<object{parameter: string, n: int, low: string, mean: string, high: string}> $read */
        $read = DB::select(
            <<<'SQL'
            SELECT r.parameter, count(*) AS n, min(r.value) AS low, avg(r.value) AS mean, max(r.value) AS high
            FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at >= ? AND r.taken_at < ?
            GROUP BY r.parameter ORDER BY r.parameter
            SQL
            ,
            [$system->id, $period->from, $period->until],
        );
        $rows = [];
        foreach ($read as $row) {
            $parameter = Parameter::from($row->parameter);
            $unit = $parameter->symbol() === null ? '' : " {$parameter->symbol()}";
            $shown = static fn(string $value): string => Format::number($parameter->shown((float) $value), 3);
            $rows[] = new ReportRow(
                'water',
                $parameter->name(),
                "{$shown($row->low)} to {$shown($row->high)}{$unit}, mean {$shown($row->mean)}{$unit}, {$row->n} " .
                    ($row->n === 1 ? 'reading' : 'readings'),
                $parameter->shown((float) $row->mean),
                $parameter->symbol(),
            );
        }
        foreach (['batch' => 'Changed', 'topup' => 'Topped up'] as $kind => $name) {
            $query = self::within(WaterChange::query(), $system, 'changed_at', $period)->where('kind', $kind);
            $litres = (float) $query->clone()->sum('litres');
            if ($litres > 0) {
                $rows[] = new ReportRow(
                    'water',
                    $name,
                    Format::about($litres, 3) . " L in {$query->count()}",
                    $litres,
                    'L',
                );
            }
        }

        return $rows;
    }

    /** @return list<ReportRow> */
    private static function fed(System $system, Period $period): array
    {
        $grams = (float) DB::table('feeds')
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('fed_at', '>=', $period->from)
            ->where('fed_at', '<', $period->until)
            ->sum('feed_g');

        return $grams > 0
            ? [new ReportRow('feed', 'Fed', Format::about($grams, 3) . ' g, as written down', $grams, 'g')]
            : [];
    }

    /** @return list<ReportRow> */
    private static function fish(System $system, Period $period): array
    {
        $days = [
            $period->from->copy()->setTimezone($system->site->timezone)->toDateString(),
            $period->until->copy()->setTimezone($system->site->timezone)->toDateString(),
        ];
        $events = FishEvent::query()
            ->where('site_id', $system->site_id)
            ->where(
                static fn($query) => $query->where('from_system_id', $system->id)->orWhere('to_system_id', $system->id),
            )
            ->where('happened_on', '>=', $days[0])
            ->where('happened_on', '<', $days[1])
            ->get();
        $arrived = (int) $system
            ->fish()
            ->where('arrived_on', '>=', $days[0])
            ->where('arrived_on', '<', $days[1])
            ->sum('count');
        $rows = $arrived > 0 ? [new ReportRow('fish', 'Arrived', "{$arrived} fish", $arrived, 'fish')] : [];
        foreach (
            [
                'Lost' => $events->where('kind', 'lost'),
                'Sold' => $events->where('kind', 'sold'),
                'Moved in' => $events->where('kind', 'moved')->where('to_system_id', $system->id),
                'Moved out' => $events->where('kind', 'moved')->where('from_system_id', $system->id),
            ]
            as $name => $some
        ) {
            $count = array_sum($some->map(static fn(FishEvent $one): int => $one->count)->all());
            if ($count > 0) {
                $kg = array_sum(
                    $some->map(static fn(FishEvent $one): float => ($one->count * $one->mean_weight_g) / 1000)->all(),
                );
                $rows[] = new ReportRow(
                    'fish',
                    $name,
                    "{$count} fish, " . Format::number($kg, 3) . ' kg',
                    $count,
                    'fish',
                );
            }
        }

        return $rows;
    }

    /** @return list<ReportRow> */
    private static function doses(System $system, Period $period): array
    {
        $rows = [];
        $doses = self::within(Dose::query(), $system, 'given_at', $period)->get()->groupBy('name');
        foreach ($doses->sortKeys() as $name => $some) {
            $times = $some->count();
            $units = array_values(array_unique($some->map(static fn(Dose $one): string => $one->unit)->all()));
            $amount = array_sum($some->map(static fn(Dose $one): float => $one->amount)->all());
            $rows[] = new ReportRow(
                'doses',
                (string) $name,
                ($times === 1 ? 'once' : "{$times} times") .
                    (count($units) === 1 ? ', ' . Format::about($amount, 3) . " {$units[0]}" : ''),
                $times,
                'times',
            );
        }

        return $rows;
    }

    /** @return list<ReportRow> */
    private static function service(System $system, Period $period): array
    {
        $done = self::within(Service::query(), $system, 'ended_at', $period)->get();
        $rows = [];
        foreach ($done->groupBy('job_name')->sortKeys() as $name => $some) {
            $minutes = $some
                ->where('way', '<>', 'told')
                ->sum(static fn(Service $one): float => $one->started_at->diffInMinutes($one->ended_at ?? now()));
            $rows[] = new ReportRow(
                'service',
                (string) $name,
                $some->count() .
                    ($some->count() === 1 ? ' time' : ' times') .
                    ($minutes > 0 ? ', ' . Format::about($minutes, 2) . ' min' : ''),
                $some->count(),
                'times',
            );
        }
        $lost = Setback::query()
            ->where('system_id', $system->id)
            ->where('happened_on', '>=', $period->from->toDateString())
            ->where('happened_on', '<', $period->until->toDateString())
            ->where('lost_pct', '>=', 20)
            ->count();

        return $lost === 0
            ? $rows
            : [...$rows, new ReportRow('service', 'Filter set back', "{$lost} times", $lost, 'times')];
    }

    /** @return list<ReportRow> */
    private static function costs(System $system, Period $period): array
    {
        $service = (float) self::within(Service::query(), $system, 'ended_at', $period)->sum('cost');
        $watts = $system->pumps->sum(static fn(Pump $pump): float => $pump->running ? $pump->power_w : 0.0);
        $kwh = 0.024 * $watts * $period->days();
        $price = $system->site->price_per_kwh;

        return array_values(
            array_filter([
                $kwh > 0
                    ? new ReportRow(
                        'costs',
                        'Power',
                        'about ' . Format::about($kwh, 3) . ' kWh, as it runs now',
                        $kwh,
                        'kWh',
                    )
                    : null,
                $kwh > 0 && $price !== null
                    ? new ReportRow(
                        'costs',
                        'Power to pay',
                        'about ' . Format::about($kwh * $price, 3),
                        $kwh * $price,
                        null,
                    )
                    : null,
                $service > 0 ? new ReportRow('costs', 'Service', Format::number($service, 5), $service, null) : null,
            ]),
        );
    }

    /**
     * @template T of Model
     * @param  Builder<T>  $query
     * @return Builder<T>
     */
    private static function within(Builder $query, System $system, string $when, Period $period): Builder
    {
        return $query
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where($when, '>=', $period->from)
            ->where($when, '<', $period->until);
    }
}
