<?php

declare(strict_types=1);

namespace App\Living;

use App\Fish\FeedPlan;
use App\Models\Dose;
use App\Models\FeedFigure;
use App\Models\System;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Fish\DailyLoad;

/**
 * What a filter was given day after day, g N: by the fish that were there, by the feed as it was logged or else
 * planned, and by ammonia that was dosed.
 *
 * A week of which half or more
 * of the days have feed logged goes by what was logged.
 */
final readonly class LoadOverTime
{
    private const LOGGED_DAYS = 4;

    /** What was dosed last feeds a start for so long at most, days. */
    private const DOSE_LASTS_D = 7.0;

    public function __construct(private FeedPlan $plans, private VolumeReport $volumes) {}

    /**
     * @param  array<string, float>  $warmth  °C by the day from which it held
     * @return array<string, float> g N/d by the day from which it held, the first that of `$from`
     */
    public function of(System $system, Carbon $from, array $warmth): array
    {
        $today = Carbon::now($system->site->timezone)->toDateString();
        $first = $from->toDateString();
        $stock = Stock::of($system, $from);
        /** @var Collection<int, FeedFigure> $plans */
        $plans = FeedFigure::query()
            ->where('system_id', $system->id)
            ->where('since', '<=', $today)
            ->orderBy('since')
            ->get();
        $logged = $this->logged($system, $from);
        $dosed = $this->dosed($system, $from);
        $days = [
            $first,
            ...$stock->days(),
            ...array_keys($warmth),
            ...$plans->map(static fn(FeedFigure $plan): string => $plan->since->toDateString())->all(),
            ...array_keys($logged),
            // The week after one that was logged may go by the plan again.
            ...array_map(static fn(string $week): string => BookDay::later($week, 7), array_keys($logged)),
            ...array_column($dosed, 'from'),
            ...array_column($dosed, 'to'),
        ];
        $days = array_values(
            array_unique(array_filter($days, static fn(string $day): bool => $day >= $first && $day <= $today)),
        );
        sort($days);
        $loads = [];
        $fed = new Fed($system, $this->plans, $plans, $stock);
        foreach ($days as $day) {
            $kg = $stock->kgOn($day);
            $temp = self::held($warmth, $day);
            $plan = $fed->plan($day);
            $load = DailyLoad::of(
                $kg,
                $logged[BookDay::monday($day)] ?? $fed->on($day, $temp),
                $this->plans->protein($plan) / 100,
                $plan?->digestibility_pct === null ? DailyLoad::USUAL_DIGESTIBILITY : $plan->digestibility_pct / 100,
                ($plan->uneaten_pct ?? 0.0) / 100,
                $temp,
            )->tan();
            foreach ($dosed as $dose) {
                $load += $dose['from'] <= $day && $day < $dose['to'] ? $dose['g_d'] : 0.0;
            }
            $loads[$day] = $load;
        }

        return $loads;
    }

    /** @return array<string, float> g/d by the Monday of each week that was logged */
    private function logged(System $system, Carbon $from): array
    {
        /** @var list<object{week: string, g_d: string, days: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT date_trunc('week', fed_at AT TIME ZONE ?)::date AS week, sum(feed_g) / 7 AS g_d,
                count(DISTINCT (fed_at AT TIME ZONE ?)::date) AS days
            FROM feeds WHERE system_id = ? AND withdrawn_at IS NULL AND fed_at >= ? GROUP BY 1
            SQL
            ,
            [$system->site->timezone, $system->site->timezone, $system->id, $from],
        );
        $weeks = [];
        foreach ($rows as $row) {
            if ((int) $row->days >= self::LOGGED_DAYS) {
                $weeks[$row->week] = (float) $row->g_d;
            }
        }

        return $weeks;
    }

    /** @return list<array{from: string, to: string, g_d: float}> */
    private function dosed(System $system, Carbon $from): array
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('thing', 'ammonium')
            ->whereNotNull('mg_l')
            ->where('given_at', '>=', $from)
            ->orderBy('given_at')
            ->get();
        if ($doses->isEmpty()) {
            return [];
        }
        $litres = $this->volumes->inUse($system)->value;
        $rows = [];
        foreach ($doses->values() as $i => $dose) {
            $next = $doses[$i + 1] ?? null;
            $end = $next instanceof Dose ? $next->given_at : Carbon::now();
            $lasts = max(1.0, min(self::DOSE_LASTS_D, $dose->given_at->diffInDays($end)));
            $rows[] = [
                'from' => $dose->given_at->toDateString(),
                'to' => $dose->given_at->copy()->addDays((int) ceil($lasts))->toDateString(),
                'g_d' => (((float) $dose->mg_l) * $litres) / 1000 / ceil($lasts),
            ];
        }

        return $rows;
    }

    /** @param  array<string, float>  $by  by the day from which it held */
    public static function held(array $by, string $day): float
    {
        $value = null;
        foreach ($by as $from => $held) {
            if ($value === null || $from <= $day) {
                $value = $held;
            }
        }

        return $value ?? throw new \LogicException('Something holds on every day.');
    }
}
