<?php

declare(strict_types=1);

namespace App\Living;

use App\Fish\FeedPlan;
use App\Models\Dose;
use App\Models\FeedFigure;
use App\Models\Seed;
use App\Models\Setback;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Model\StartWithFish;

/**
 * A start as the book tells it: since when, what was read, and what happened, in days since its first reading of
 * ammonia.
 */
final readonly class StartOfFilter
{
    /** A stage that has run for longer is no start any more. */
    public const FOLLOWED_D = StartWithFish::YOUNG_D;

    private const MOST_EVENTS = 480;

    /** A change of temperature smaller than this is none, °C. */
    private const WARMER_C = 0.3;

    /**
     * @param  list<object{visit_id: string, taken_at: string, parameter: string, value: string, low: string,
     *     high: string}>  $rows
     */
    private function __construct(private System $system, public Carbon $since, private array $rows) {}

    /** Since when a start is to be followed; null where nothing is being started. */
    public static function from(System $system, Past $past): ?Carbon
    {
        $starting = $system->kind === 'start' || $system->life_stage === 'starting';

        return $past->begins($system) ?? ($starting ? Carbon::now()->subDays(self::FOLLOWED_D) : null);
    }

    /** Null where nothing is being started, or ammonia was never read since it was. */
    public static function of(System $system, Past $past): ?self
    {
        $from = self::from($system, $past);
        if ($from === null) {
            return null;
        }
        /**
         * @var list<object{visit_id: string, taken_at: string, parameter: string, value: string, low: string,
         *     high: string}> $rows
         */
        $rows = DB::select(
            <<<'SQL'
            SELECT r.visit_id, r.taken_at, r.parameter, r.value, r.low, r.high FROM readings r JOIN visits v
                ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at >= ? AND r.parameter IN ('tan_mg_l', 'no2_n_mg_l', 'no3_n_mg_l',
                'alkalinity_mg_l', 'temp_c') ORDER BY r.taken_at LIMIT 2000
            SQL
            ,
            [$system->id, $from],
        );
        $first =
            array_values(array_filter($rows, static fn(object $row): bool => $row->parameter === 'tan_mg_l'))[0] ??
            null;

        return $first === null ? null : new self($system, Carbon::parse($first->taken_at), $rows);
    }

    /**
     * Where the whole filter is young: no stage that carries bacteria is older than a start is followed for, and of
     * each it is known. Else its readings speak of what was there before.
     */
    public static function whole(System $system, Past $past): ?self
    {
        return $past->young($system, self::FOLLOWED_D) ? self::of($system, $past) : null;
    }

    public function day(Carbon $at): float
    {
        return $this->since->diffInSeconds($at) / 86400;
    }

    /** @return array<string, float> the first reading of each parameter, as the water of day 0 */
    public function then(): array
    {
        $found = [];
        foreach ($this->rows as $row) {
            if ($row->parameter !== 'temp_c') {
                $found[$row->parameter] ??= (float) $row->value;
            }
        }

        return $found;
    }

    /** The first temperature that was read, °C. */
    public function temperature(): ?float
    {
        foreach ($this->rows as $row) {
            if ($row->parameter === 'temp_c') {
                return (float) $row->value;
            }
        }

        return null;
    }

    /** @return list<array<string, float>> of `filter.maturation`, the first left out: it is the water of day 0 */
    public function readings(): array
    {
        $names = ['tan_mg_l' => 'tan', 'no2_n_mg_l' => 'no2'];
        $visits = [];
        foreach ($this->rows as $row) {
            $name = $names[$row->parameter] ?? null;
            $day = $this->day(Carbon::parse($row->taken_at));
            if ($name !== null && $day > 0.01) {
                $visits[$row->visit_id] = [
                    ...$visits[$row->visit_id] ?? ['day' => $day],
                    "{$name}_low_mg_l" => (float) $row->low,
                    "{$name}_high_mg_l" => min(1000.0, (float) $row->high),
                ];
            }
        }

        return array_values(array_slice($visits, -400));
    }

    /** @return list<array<string, float|string>> of `filter.maturation` */
    public function events(FeedPlan $feeds, float $tempC, float $volumeL): array
    {
        $events = [...$this->stock(), ...$this->feeds($feeds, $tempC), ...$this->seeds($volumeL)];
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->where('system_id', $this->system->id)
            ->whereNull('withdrawn_at')
            ->where('kind', 'batch')
            ->whereNull('vessel_id')
            ->whereBetween('changed_at', [$this->since, Carbon::now()])
            ->orderBy('changed_at')
            ->limit(300)
            ->get();
        foreach ($changes as $change) {
            $events[] = [
                'at_d' => $this->day($change->changed_at),
                'kind' => 'change',
                'pct' => min(100.0, (100 * $change->litres) / $change->volume_l),
            ];
        }
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()
            ->where('system_id', $this->system->id)
            ->whereNull('withdrawn_at')
            ->where('thing', 'ammonium')
            ->whereNotNull('mg_l')
            ->whereBetween('given_at', [$this->since, Carbon::now()])
            ->orderBy('given_at')
            ->limit(300)
            ->get();
        foreach ($doses as $dose) {
            $events[] = ['at_d' => $this->day($dose->given_at), 'kind' => 'dose', 'mg_l' => (float) $dose->mg_l];
        }
        /** @var Collection<int, Setback> $setbacks */
        $setbacks = Setback::query()
            ->where('system_id', $this->system->id)
            ->where('happened_on', '>', $this->since)
            ->limit(100)
            ->get();
        foreach ($setbacks as $setback) {
            $events[] = [
                'at_d' => max(0.0, $this->day($setback->happened_on)),
                'kind' => 'wash',
                'pct' => $setback->lost_pct,
            ];
        }
        return array_slice([...$events, ...$this->warmth($tempC)], 0, self::MOST_EVENTS);
    }

    /**
     * The end of a day of the book: what came on it is counted from then on, so that a reading of the same day is not
     * taken for one of after it.
     */
    private function closing(string $day): float
    {
        return max(0.0, $this->day(Carbon::parse($day, $this->system->site->timezone)->addDay()));
    }

    /** Fish that were in the water on day 0, kg. */
    public function kg(): float
    {
        return Stock::of($this->system, $this->since)->kgOn($this->date());
    }

    /** Feed on day 0, g/d. */
    public function feed(FeedPlan $feeds, float $tempC): float
    {
        return $this->fed($feeds)->on($this->date(), $tempC);
    }

    private function fed(FeedPlan $feeds): Fed
    {
        /** @var Collection<int, FeedFigure> $plans */
        $plans = FeedFigure::query()->where('system_id', $this->system->id)->orderBy('since')->limit(100)->get();

        return new Fed($this->system, $feeds, $plans, Stock::of($this->system, $this->since));
    }

    /** @return list<array<string, float|string>> feed from each day on which plan or fish became others */
    private function feeds(FeedPlan $feeds, float $tempC): array
    {
        $fed = $this->fed($feeds);
        $plans = FeedFigure::query()->where('system_id', $this->system->id)->pluck('since');
        $days = Stock::of($this->system, $this->since)->days();
        foreach ($plans as $since) {
            if ($since instanceof Carbon) {
                $days[] = $since->toDateString();
            }
        }
        $days = array_values(array_unique(array_filter($days, fn(string $day): bool => $day > $this->date())));
        sort($days);

        return array_map(
            fn(string $day): array => [
                'at_d' => $this->closing($day),
                'kind' => 'feed',
                'value' => $fed->on($day, $tempC),
            ],
            array_slice($days, 0, 100),
        );
    }

    private function date(): string
    {
        return $this->since->copy()->setTimezone($this->system->site->timezone)->toDateString();
    }

    /** @return list<array<string, float|string>> fish that came and went */
    private function stock(): array
    {
        $stock = Stock::of($this->system, $this->since);
        $events = [];
        foreach ($stock->days() as $day) {
            if ($day > $this->date()) {
                $events[] = [
                    'at_d' => $this->closing($day),
                    'kind' => 'fish',
                    'value' => $stock->kgOn($day),
                ];
            }
        }

        return $events;
    }

    /** @return list<array<string, float|string>> */
    private function seeds(float $volumeL): array
    {
        $seeds = Seed::query()
            ->where('system_id', $this->system->id)
            ->where('happened_on', '>=', $this->date())
            ->limit(100)
            ->get();

        return array_values(
            $seeds
                ->map(
                    fn(Seed $seed): array => [
                        'at_d' => max(0.0, $this->day($seed->happened_on)),
                        'kind' => 'seed',
                        'value' => (1000 * $seed->gain_g_d) / $volumeL,
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array<string, float|string>> each change of temperature that was read */
    private function warmth(float $was): array
    {
        $events = [];
        foreach ($this->rows as $row) {
            if ($row->parameter === 'temp_c' && abs((float) $row->value - $was) >= self::WARMER_C) {
                $was = (float) $row->value;
                $events[] = [
                    'at_d' => max(0.0, $this->day(Carbon::parse($row->taken_at))),
                    'kind' => 'temperature',
                    'value' => $was,
                ];
            }
        }

        return $events;
    }
}
