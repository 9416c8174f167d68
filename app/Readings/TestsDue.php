<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Models\TestPlan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Judge\TestSchedule;
use Ironwort\Core\Measure\Format;

/**
 * Which tests are due, by what a system is for, how it stands, the season its water shows and what the keeper has
 * set.
 */
final readonly class TestsDue
{
    public function __construct(private TestSchedule $schedule, private StageKinds $kinds) {}

    /**
     * @param  array{month_ago_c: ?float, washed_h: ?float, dawn: array<string, Carbon>}  $seen
     * @return array{context: string, name: string, season: ?array{id: string, name: string, says: string},
     *     tests: list<array{parameter: string,
     *     name: string, every_h: float, last_h: ?float, dawn: bool, stands: string, own: bool}>, next: ?string}
     */
    public function of(System $system, LatestWater $water, ?string $state, array $seen): array
    {
        $context = TestSchedule::context(
            $system->kind,
            $state === null ? null : State::from($state),
            Setback::open($system) !== [],
            $this->young($system),
        );
        $temperature = $water->get(Parameter::Temperature);
        $known = $temperature !== null && $temperature->ageH() <= 24 * TestSchedule::KNOWN_FOR_D;
        $season = $this->schedule->season($known ? $temperature->value : null, $seen['month_ago_c']);
        $own = $system->testPlans
            ->mapWithKeys(static fn(TestPlan $plan): array => [$plan->parameter => $plan->every_h])
            ->all();
        $tests = [];
        $now = Carbon::now();
        foreach ($this->schedule->hours($context, $season, $own) as $key => $every) {
            $parameter = Parameter::from($key);
            $dawn = $season?->atDawn($key, $every) ?? false;
            $hours = $dawn ? ($seen['dawn'][$key] ?? null)?->diffInHours($now) : $water->get($parameter)?->ageH();
            $every = in_array($parameter, [Parameter::Ammonia, Parameter::Nitrite], true)
                ? TestSchedule::afterWash($every, $hours, $seen['washed_h'])
                : $every;
            $tests[] = [
                'parameter' => $key,
                'name' => $parameter->name() . ($dawn ? ' at dawn' : ''),
                'every_h' => $every,
                'last_h' => $hours,
                'dawn' => $dawn,
                'stands' => TestSchedule::stands($hours, $every),
                'own' => isset($own[$key]),
            ];
        }

        return [
            'context' => $context,
            'name' => $this->schedule->name($context),
            'season' =>
                $season === null ? null : ['id' => $season->id, 'name' => $season->name, 'says' => $season->says],
            'tests' => $tests,
            'next' => self::next($tests),
        ];
    }

    /**
     * @param  list<array{parameter: string, name: string, every_h: float, last_h: ?float, dawn: bool, stands: string,
     *     own: bool}>  $tests
     * @return ?string which will be due first, and when
     */
    private static function next(array $tests): ?string
    {
        $first = $name = null;
        foreach ($tests as $test) {
            $left = TestSchedule::left($test['last_h'], $test['every_h']);
            if ($left !== null && ($first === null || $left < $first)) {
                [$first, $name] = [
                    $left,
                    Parameter::from($test['parameter'])->inSentence() . ($test['dawn'] ? ' at dawn' : ''),
                ];
            }
        }

        return $first === null ? null : "{$name} in " . Format::days($first / 24);
    }

    /** Fish in a filter all of whose media went in within the weeks a start takes. */
    private function young(System $system): bool
    {
        if ($system->fish->isEmpty()) {
            return false;
        }
        $media = $system->stages->filter(
            fn(Stage $stage): bool => $this->kinds->get($stage->kind)->matures($stage->media_l, $stage->bypassed),
        );
        $oldest = Carbon::now()->subDays(TestSchedule::YOUNG_D);

        return $media->isNotEmpty() &&
            $media->every(static fn(Stage $stage): bool => $stage->since !== null && $stage->since->gt($oldest));
    }

    /**
     * What the season is told by, besides the latest readings: the water of four weeks ago, and what was last read at
     * dawn.
     *
     * @param  Collection<int, System>  $systems
     * @return array<string, array{month_ago_c: ?float, washed_h: ?float, dawn: array<string, Carbon>}> by system id
     */
    public function seenOf(Collection $systems): array
    {
        $seen = [];
        foreach ($systems as $system) {
            $seen[$system->id] = ['month_ago_c' => null, 'washed_h' => null, 'dawn' => []];
        }
        if ($seen === []) {
            return [];
        }
        foreach (MonthAgo::of($systems) as $id => $temperature) {
            $seen[$id] = ['month_ago_c' => $temperature, 'washed_h' => null, 'dawn' => []];
        }
        foreach (self::washed(array_keys($seen)) as $id => $hours) {
            $seen[$id] = [...$seen[$id] ?? ['month_ago_c' => null, 'dawn' => []], 'washed_h' => $hours];
        }
        $ids = implode(', ', array_fill(0, count($seen), '(?::char(26))'));
        $then = Carbon::now()->subWeeks(TestSchedule::WEEKS_BACK);
        foreach ($this->schedule->readAtDawn() as $parameter) {
            /** @var list<object{id: string, taken_at: string}> $dawns */
            $dawns = DB::select(
                <<<SQL
                SELECT s.id, r.taken_at FROM (VALUES {$ids}) AS s (id) CROSS JOIN LATERAL (
                    SELECT r.taken_at FROM readings r JOIN visits v ON v.id = r.visit_id AND v.withdrawn_at IS NULL
                    WHERE r.system_id = s.id AND r.parameter = ?::varchar AND r.taken_at > ?
                      AND extract(hour FROM r.taken_at AT TIME ZONE ?) BETWEEN ? AND ?
                    ORDER BY r.taken_at DESC LIMIT 1
                ) AS r
                SQL
                ,
                [
                    ...array_keys($seen),
                    $parameter,
                    $then,
                    $systems->firstOrFail()->site->timezone,
                    TestSchedule::DAWN_FROM,
                    TestSchedule::DAWN_UNTIL - 1,
                ],
            );
            foreach ($dawns as $row) {
                $before = $seen[$row->id] ?? ['month_ago_c' => null, 'washed_h' => null, 'dawn' => []];
                $seen[$row->id] = [
                    ...$before,
                    'dawn' => [...$before['dawn'], $parameter => Carbon::parse($row->taken_at)],
                ];
            }
        }

        return $seen;
    }

    /**
     * @param  list<string>  $systems  ids
     * @return array<string, float> hours since the last wash that cost bacteria, where there was one of late
     */
    private static function washed(array $systems): array
    {
        $washed = [];
        $rows = Service::query()
            ->selectRaw('system_id, max(ended_at) AS ended_at')
            ->whereIn('system_id', $systems)
            ->whereNotNull('setback_id')
            ->whereNull('withdrawn_at')
            ->where('ended_at', '>', Carbon::now()->subHours(TestSchedule::WASH_OF_LATE_H))
            ->groupBy('system_id')
            ->get();
        foreach ($rows as $row) {
            $washed[$row->system_id] = $row->ended_at === null ? 0.0 : $row->ended_at->diffInHours(Carbon::now());
        }

        return $washed;
    }
}
