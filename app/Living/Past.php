<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\Reading;
use App\Models\Seed;
use App\Models\Setback;
use App\Models\Sleep;
use App\Models\Stage;
use App\Models\System;
use App\Models\Visit;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Filter\CleanWeeks;
use Ironwort\Core\Filter\History;
use Ironwort\Core\Filter\Idle;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Model\StartWithFish;
use Ironwort\Core\Water\AssumedWater;

/** What happened to the filter of a system, from its book, as `filter.history` takes it. */
final readonly class Past
{
    /** The code of the question where nothing stands for what nobody said. */
    public const UNKNOWN = 'filter.since_unknown';

    public const PROVEN = 'filter.since_proven';

    /** A load that differs by less is the same, g N/d against what it was. */
    private const SAME_LOAD = 0.01;

    public function __construct(private LoadOverTime $loads, private StageKinds $kinds) {}

    /**
     * @param  list<float>  $grown  g N/d that each stage takes when grown, in the order of the stages
     * @param  float  $walls  g N/d of walls and stones
     * @param  ?bool  $proven  whether eight weeks of clean tests stand for what nobody said; null where all was said
     * @return array<string, mixed> input of `filter.history` but for its `greatest_g_d`, `flat_out_pct` and `temp_c`
     */
    public function of(System $system, array $grown, float $walls, float $tempC, ?bool $proven): array
    {
        $zone = $system->site->timezone;
        $today = Carbon::today($zone);
        $from = $today->copy()->subDays((int) History::LOOKED_BACK_D);
        $warmth = $this->warmth($system, $from, $tempC);
        $loads = $this->loads->of($system, $from, $warmth);
        [$standing, $most, $media] = $this->media($system, $grown, $walls, $from, $today, $proven);
        $rows = [...$media, ...$this->befell($system, $from, $today)];
        $load = null;
        foreach ($loads as $day => $now) {
            if ($load !== null && abs($now - $load) > self::SAME_LOAD * max($load, 1e-9)) {
                $rows[] = self::row($day, $today, 'load', $now);
            }
            $load = $load === null || abs($now - $load) > self::SAME_LOAD * max($load, 1e-9) ? $now : $load;
        }
        foreach (array_slice($warmth, 1, null, true) as $day => $temp) {
            $rows[] = self::row($day, $today, 'warmth', $temp);
        }

        return [
            'days' => History::LOOKED_BACK_D,
            'load_g_d' => array_values($loads)[0] ?? 0.0,
            'then_temp_c' => array_values($warmth)[0],
            'standing_pct' => 100 * $standing,
            'standing_high_pct' => 100 * $most,
            'happened' => array_slice($rows, 0, 400),
        ];
    }

    /** @return Collection<int, Stage> stages whose age nobody said */
    public function silent(System $system): Collection
    {
        return $system->stages
            ->filter(
                fn(Stage $stage): bool => $stage->since === null &&
                    $stage->maturity_pct === null &&
                    $this->carries($stage),
            )
            ->values();
    }

    /** Whether bacteria have a surface to live on in it, and water passes them. */
    public function carries(Stage $stage): bool
    {
        return $this->kinds->get($stage->kind)->carries($stage->media_l, $stage->bypassed);
    }

    /** Whether the filter is as young as this stage. */
    public function matures(Stage $stage): bool
    {
        return $this->kinds->get($stage->kind)->matures($stage->media_l, $stage->bypassed);
    }

    /**
     * The day a young filter began: its youngest media went in, or it woke with less than half alive. Null where it is
     * old, or nobody said.
     */
    public function begins(System $system): ?Carbon
    {
        $oldest = Carbon::now()->subDays(StartWithFish::YOUNG_D);
        $youngest = $system->stages
            ->filter($this->matures(...))
            ->map(static fn(Stage $stage): ?Carbon => $stage->since)
            ->filter()
            ->max();
        $woke = $this->woke($system);
        $days = array_filter(
            [$youngest, $woke],
            static fn(mixed $day): bool => $day instanceof Carbon && $day->gte($oldest),
        );

        return $days === [] ? null : max($days);
    }

    /** When it last woke with less than half of its bacteria alive; null where it did not within half a year. */
    public function woke(System $system): ?Carbon
    {
        $sleep = Sleep::query()
            ->where('system_id', $system->id)
            ->where('woke_at', '>', Carbon::now()->subDays(StartWithFish::YOUNG_D))
            ->orderByDesc('woke_at')
            ->first();
        if ($sleep === null) {
            return null;
        }
        $temp = Reading::query()
            ->where('system_id', $system->id)
            ->where('parameter', Parameter::Temperature->value)
            ->where('taken_at', '<=', $sleep->woke_at)
            ->orderByDesc('taken_at')
            ->value('value');
        $left = Idle::left(
            max(0.0, $sleep->slept_from->diffInDays($sleep->woke_at)),
            is_numeric($temp) ? (float) $temp : AssumedWater::TEMPERATURE_C,
        );

        return 100 * $left->value < Idle::NEW_START_PCT ? $sleep->woke_at : null;
    }

    /** Whether all media for bacteria went in within so many days, or all of it woke from sleep. */
    public function young(System $system, int $days): bool
    {
        if ($this->woke($system) !== null) {
            return true;
        }
        $oldest = Carbon::now()->subDays($days);
        $media = $system->stages->filter($this->matures(...));

        return $media->isNotEmpty() &&
            $media->every(static fn(Stage $stage): bool => $stage->since !== null && $stage->since->gte($oldest));
    }

    /** Whether eight weeks of clean tests stand for what nobody said. */
    public function proven(System $system): bool
    {
        /** @var list<object{parameter: string, high: string, ago: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT r.parameter, r.high, extract(epoch FROM now() - r.taken_at) / 86400 AS ago
            FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at >= ? AND r.parameter IN (?, ?)
            ORDER BY r.taken_at DESC LIMIT 2000
            SQL
            ,
            [
                $system->id,
                Carbon::now()->subDays((int) CleanWeeks::DAYS),
                Parameter::Ammonia->value,
                Parameter::Nitrite->value,
            ],
        );
        $of = static fn(Parameter $parameter): array => array_values(
            array_map(
                /** @param object{parameter: string, high: string, ago: string} $row */
                static fn(object $row): array => [
                    'daysAgo' => max(0.0, (float) $row->ago),
                    'high' => (float) $row->high,
                ],
                array_filter(
                    $rows,
                    /** @param object{parameter: string, high: string, ago: string} $row */
                    static fn(object $row): bool => $row->parameter === $parameter->value,
                ),
            ),
        );

        return CleanWeeks::proven($of(Parameter::Ammonia), $of(Parameter::Nitrite));
    }

    /**
     * Of today's surface: what had long stood, what at most had, and what went in since.
     *
     * @param  list<float>  $grown
     * @return array{float, float, list<array<string, float|string>>} shares 0 to 1
     */
    private function media(
        System $system,
        array $grown,
        float $walls,
        Carbon $from,
        Carbon $today,
        ?bool $proven,
    ): array {
        $all = array_sum($grown) + $walls;
        if ($all <= 0) {
            return [1.0, 1.0, []];
        }
        $unproven = $proven === false ? $this->firstDay($system) : null;
        // g N/d by the day on which it went in; what nobody said is kept apart.
        [$in, $unsaid, $oldest] = [[], 0.0, null];
        foreach ($system->stages->values() as $i => $stage) {
            $takes = $grown[$i] ?? 0.0;
            if ($takes <= 0) {
                continue;
            }
            if ($stage->since === null) {
                $unsaid += $takes;
                continue;
            }
            $day = $stage->since->toDateString();
            $in[$day] = ($in[$day] ?? 0.0) + $takes;
            $oldest = $oldest === null ? $day : min($oldest, $day);
        }
        // Walls are as old as the oldest stage: water stood by them as soon as it went round.
        if ($unsaid > 0 || $oldest === null) {
            $unsaid += $walls;
        } else {
            $in[$oldest] += $walls;
        }
        ksort($in);
        $long = array_sum(
            array_filter($in, static fn(string $day): bool => $day <= $from->toDateString(), ARRAY_FILTER_USE_KEY),
        );
        $later = array_filter($in, static fn(string $day): bool => $day > $from->toDateString(), ARRAY_FILTER_USE_KEY);
        $standing = $long + ($unproven === null ? $unsaid : 0.0);
        $most = $long + $unsaid;
        $begin = [$standing / $all, $most / $all];
        if ($unproven !== null && $unsaid > 0) {
            $later[$unproven] = $later[$unproven] ?? 0.0;
            ksort($later);
        }
        $rows = [];
        foreach ($later as $day => $takes) {
            $standing += $takes + ($day === $unproven ? $unsaid : 0.0);
            $most += $takes;
            $rows[] = self::row(
                $day,
                $today,
                'media',
                min(100.0, (100 * $standing) / $all),
                min(100.0, (100 * $most) / $all),
            );
        }

        return [min(1.0, $begin[0]), min(1.0, $begin[1]), $rows];
    }

    /** The first day on which the book says anything of a system. */
    private function firstDay(System $system): string
    {
        $zone = $system->site->timezone;
        $days = array_filter(
            [
                Visit::query()->where('system_id', $system->id)->min('taken_at'),
                FeedFigure::query()->where('system_id', $system->id)->min('since'),
                FishGroup::query()->where('system_id', $system->id)->min('arrived_on'),
                $system->created_at?->toIso8601String(),
            ],
            is_string(...),
        );

        return min([
            Carbon::today($zone)->toDateString(),
            ...array_map(
                static fn(string $day): string => strlen($day) === 10
                    ? $day
                    : Carbon::parse($day)->setTimezone($zone)->toDateString(),
                $days,
            ),
        ]);
    }

    /** @return list<array<string, float|string>> */
    private function befell(System $system, Carbon $from, Carbon $today): array
    {
        $rows = [];
        $since = $from->toDateString();
        foreach (Setback::query()->where('system_id', $system->id)->where('happened_on', '>', $since)->get() as $one) {
            $rows[] = self::row(
                $one->happened_on->toDateString(),
                $today,
                'lost',
                $one->lost_pct,
                $one->high_pct,
                $one->low_pct,
            );
        }
        foreach (Seed::query()->where('system_id', $system->id)->where('happened_on', '>', $since)->get() as $seed) {
            $rows[] = self::row(
                $seed->happened_on->toDateString(),
                $today,
                'seeded',
                $seed->gain_g_d,
                $seed->high_g_d,
                $seed->low_g_d,
            );
        }
        $sleeps = Sleep::query()->where('system_id', $system->id)->where('woke_at', '>', $from)->get();
        foreach ($sleeps as $sleep) {
            $rows[] = self::row(
                max($since, $sleep->slept_from->toDateString()),
                $today,
                'slept',
                max(0.0, $sleep->slept_from->max($from)->diffInDays($sleep->woke_at)),
            );
        }
        if ($system->asleep_since !== null) {
            $rows[] = self::row(
                max($since, $system->asleep_since->toDateString()),
                $today,
                'slept',
                max(0.0, $system->asleep_since->max($from)->diffInDays(Carbon::now())),
            );
        }

        return $rows;
    }

    /**
     * @return non-empty-array<string, float> mean temperature of each week by its first day, that of the book's first
     *     before
     */
    private function warmth(System $system, Carbon $from, float $tempC): array
    {
        /** @var list<object{week: string, temp: string}> $rows */
        $rows = DB::select(
            <<<'SQL'
            SELECT date_trunc('week', r.taken_at)::date AS week, avg(r.value) AS temp
            FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
            WHERE r.system_id = ? AND r.taken_at >= ? AND r.parameter = ? GROUP BY 1 ORDER BY 1
            SQL
            ,
            [$system->id, $from, Parameter::Temperature->value],
        );
        $weeks = [];
        $last = null;
        foreach ($rows as $row) {
            $temp = max(0.0, min(40.0, (float) $row->temp));
            if ($last === null || abs($temp - $last) > 0.3) {
                $weeks[$row->week] = $temp;
                $last = $temp;
            }
        }

        return [$from->toDateString() => array_values($weeks)[0] ?? $tempC, ...$weeks];
    }

    /** @return array<string, float|string> a row of `happened` */
    private static function row(
        string $day,
        Carbon $today,
        string $kind,
        float $value,
        ?float $high = null,
        ?float $low = null,
    ): array {
        $ago = (float) (BookDay::number($today->toDateString()) - BookDay::number($day));

        return [
            'days_ago' => max(0.0, min(History::LOOKED_BACK_D, $ago)),
            'kind' => $kind,
            'value' => $value,
            ...$high === null ? [] : ['high' => max($value, $high)],
            ...$low === null ? [] : ['low' => min($value, $low)],
        ];
    }
}
