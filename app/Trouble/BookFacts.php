<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Capacity\CapacityVerdict;
use App\Fish\FeedPlan;
use App\Living\Past;
use App\Models\Dose;
use App\Models\FeedFigure;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\Incident;
use App\Models\Service;
use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Incident\Facts;
use Ironwort\Core\Incident\LookBack;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Incident\Situation;
use Ironwort\Core\Judge\Parameter;

/** What the book tells of a system in trouble: what befell its filter, its load, and what was done to its water. */
final readonly class BookFacts
{
    public function __construct(
        private AgentTable $agents,
        private Past $past,
        private FeedPlan $feeds,
        private LoopSums $sums,
        private LimitsInForce $limits,
        private BadReadings $readings,
    ) {}

    /** @param  list<Sign>  $seen */
    public function of(
        System $system,
        LatestWater $water,
        Situation $now,
        CapacityVerdict $verdict,
        array $seen,
        ?Incident $incident,
    ): Facts {
        $setback = Setback::open($system)[0] ?? null;
        $fish = self::fish($system);
        $feed = self::feed($system);
        $medicine = $this->medicine($system);
        $untaken = self::untaken($system);
        $change = self::changes($system)->first();
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $kg = $this->sums->biomass($system)->value;
        $source = $system->water_id === null ? null : WaterSource::query()->with('tests')->find($system->water_id);
        $bad = $this->bad($system);

        return new Facts(
            water: $now->water,
            states: $now->states,
            seen: $seen,
            event: $incident?->event,
            filterDays: $this->filterDays($system),
            fishCame: $fish['came'],
            fishThere: max(
                0,
                array_sum($system->fish->map(static fn(FishGroup $one): int => $one->count)->all()) - $fish['came'],
            ),
            fishCameDays: $fish['days'],
            setback: $setback?->kind,
            setbackDays: $setback === null ? null : self::daysSince($setback->happened_on),
            washedDays: self::washed($system),
            raisedFrom: $feed['from'],
            feedGD: $system->feed() === null ? null : $this->feeds->perDay($system, $system->feed(), $temp),
            rationGD: $system->fish->isEmpty() ? null : $this->feeds->ration($system, $temp)->value,
            loadGD: $verdict->load->value > 0 ? $verdict->load->value : null,
            capacityGD: $verdict->capacity?->value,
            medicine: $medicine?->name,
            medicineDays: $medicine === null ? null : self::daysSince($medicine->given_at),
            untakenL: $untaken?->litres,
            untakenDays: $untaken === null ? null : self::daysSince($untaken->changed_at),
            chlorineRuns: self::chlorineRuns($system) !== null,
            chlorineMay: $source?->mayBringChlorine(),
            source: $now->source,
            changedDays: $change === null ? null : self::daysSince($change->changed_at),
            changedPct: $change === null ? null : (100 * $change->litres) / max(1.0, $change->volume_l),
            weeklyPct: self::weekly($system, $now->volumeL),
            densityKgM3: $kg > 0 ? (1000 * $kg) / $now->volumeL : null,
            densityMost: $this->limits->following($system)->in('density')->figure($system->kind),
            saltDays: self::dosed($system, ['salt'], Facts::CHANGES_D),
            bufferDays: self::dosed($system, Facts::BUFFERS, Facts::WEEK_D),
            lost: (int) FishEvent::query()
                ->where('from_system_id', $system->id)
                ->where('kind', 'lost')
                ->where('happened_on', '>', Carbon::now()->subDays(Facts::WEEK_D))
                ->sum('count'),
            badDays: $bad,
            lampDark: $system->stages->contains(
                static fn(Stage $one): bool => $one->kind === 'uv' && ($one->bypassed || $one->lamp_state === 'off'),
            ),
            air: self::air($system),
            standing: $now->overdosed !== [],
            colderBy: $this->colderBy($system, $now),
        );
    }

    /** Whether new water that may hold chlorine runs in all the while, and nothing is said to take it out. */
    public static function chlorineRuns(System $system): ?Trickle
    {
        $trickle = Trickle::running($system);

        return $trickle !== null &&
            ($trickle->treated_by ?? '') === '' &&
            $trickle->water?->loadMissing('tests')->mayBringChlorine() === true
            ? $trickle
            : null;
    }

    /** Since it woke half dead, or since the oldest of its media went in; null where nobody said. */
    private function filterDays(System $system): ?float
    {
        $woke = $this->past->woke($system);
        if ($woke !== null) {
            return self::daysSince($woke);
        }
        $since = $system->stages->filter($this->past->matures(...))->map(static fn(Stage $one): ?Carbon => $one->since);
        $oldest = $since->filter()->min();

        return $oldest instanceof Carbon && !$since->contains(null) ? self::daysSince($oldest) : null;
    }

    /** New water whose chlorine nobody has said to be taken out. */
    private static function untaken(System $system): ?WaterChange
    {
        return self::changes($system)->first(
            static fn(WaterChange $one): bool => array_filter(
                $one->put_back,
                static fn(array $item): bool => in_array($item['what'], ['conditioner', 'thiosulfate'], true) &&
                    !$item['done'],
            ) !== [],
        );
    }

    /** @return Collection<int, WaterChange> of the last three weeks, the newest first */
    private static function changes(System $system): Collection
    {
        return WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('kind', 'batch')
            ->where('changed_at', '>', Carbon::now()->subDays(LookBack::DAYS))
            ->orderByDesc('changed_at')
            ->get();
    }

    /** Of the water a week, by changes and by what trickles in; null for a book too young to tell. */
    private static function weekly(System $system, float $volumeL): ?float
    {
        $from = Carbon::now()->subDays(Facts::CHANGES_D);
        if ($system->created_at === null || $system->created_at->gt($from)) {
            return null;
        }
        $litres = (float) WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('kind', 'batch')
            ->where('changed_at', '>', $from)
            ->sum('litres');
        $trickle = Trickle::running($system)->flow_l_h ?? 0.0;

        return (100 * (($litres * Facts::WEEK_D) / Facts::CHANGES_D + $trickle * 24 * Facts::WEEK_D)) / $volumeL;
    }

    private function medicine(System $system): ?Dose
    {
        return Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereIn(
                'thing',
                array_values(array_filter(array_keys($this->agents->agents), LookBack::harmsFilter(...))),
            )
            ->where('given_at', '>', Carbon::now()->subDays(LookBack::DAYS))
            ->orderByDesc('given_at')
            ->first();
    }

    /** @param  list<string>  $things */
    private static function dosed(System $system, array $things, int $days): ?float
    {
        $at = Dose::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->whereIn('thing', $things)
            ->where('given_at', '>', Carbon::now()->subDays($days))
            ->orderByDesc('given_at')
            ->first()?->given_at;

        return $at === null ? null : self::daysSince($at);
    }

    /** @return array{came: int, days: ?float} */
    private static function fish(System $system): array
    {
        $from = Carbon::now()->subDays(LookBack::DAYS);
        $moved = FishEvent::query()->where('to_system_id', $system->id)->where('happened_on', '>', $from)->get();
        // Groups of a system that was drawn up just now were there before it was.
        $groups =
            $system->created_at !== null && $system->created_at->lt($from)
                ? FishGroup::query()->where('system_id', $system->id)->where('created_at', '>', $from)->get()
                : new Collection();
        $dates = [...$moved->pluck('happened_on'), ...$groups->pluck('created_at')];
        $first = $dates === [] ? null : min($dates);

        return [
            'came' => max(
                array_sum($moved->map(static fn(FishEvent $one): int => $one->count)->all()),
                array_sum($groups->map(static fn(FishGroup $one): int => $one->count)->all()),
            ),
            'days' => $first instanceof Carbon ? self::daysSince($first) : null,
        ];
    }

    /** @return array{from: ?float} g/d of feed before it was raised */
    private static function feed(System $system): array
    {
        /** @var list<FeedFigure> $figures */
        $figures = FeedFigure::query()
            ->where('system_id', $system->id)
            ->where('since', '<=', Carbon::now()->toDateString())
            ->orderByDesc('since')
            ->limit(2)
            ->get()
            ->all();
        if (count($figures) < 2 || $figures[0]->by_ration || $figures[1]->by_ration) {
            return ['from' => null];
        }
        [$now, $before] = $figures;
        $lately = $now->since->gt(Carbon::now()->subDays(LookBack::DAYS));

        return [
            'from' => $lately && LookBack::raised($before->feed_g_d, $now->feed_g_d) ? $before->feed_g_d : null,
        ];
    }

    private static function washed(System $system): ?float
    {
        $at = Service::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('part_kind', 'stage')
            ->max('ended_at');

        return is_string($at) ? self::daysSince(Carbon::parse($at)) : null;
    }

    /** Since ammonia or nitrite was last dangerous, before the newest reading of it; null where it was not. */
    private function bad(System $system): ?float
    {
        $last = null;
        $found = $this->readings->since($system, Carbon::now()->subDays(LookBack::DAYS));
        foreach ([Parameter::Ammonia, Parameter::UnionisedAmmonia, Parameter::Nitrite] as $of) {
            foreach (array_slice($found[$of->value] ?? [], 0, -1) as $one) {
                $last = $one->bad && ($last === null || $one->at->gt($last)) ? $one->at : $last;
            }
        }

        return $last === null ? null : self::daysSince($last);
    }

    private static function air(System $system): ?bool
    {
        if ($system->stages->isEmpty() && $system->pumps->isEmpty()) {
            return null;
        }

        return $system->airOutlets->isNotEmpty() ||
            $system->stages->contains(
                static fn(Stage $one): bool => $one->air_l_min > 0 || in_array($one->kind, Facts::FALLING, true),
            );
    }

    private function colderBy(System $system, Situation $now): ?float
    {
        $temp = $now->reading(Parameter::Temperature->value);
        $week = $this->readings->since($system, Carbon::now()->subDays(Facts::WEEK_D));
        $was = array_map(
            static fn(BadReading $one): float => $one->reading->value,
            $week[Parameter::Temperature->value] ?? [],
        );

        return $temp === null || $was === [] ? null : max(0.0, max($was) - $temp);
    }

    private static function daysSince(Carbon $then): float
    {
        return max(0.0, $then->diffInMinutes(Carbon::now()) / 1440);
    }
}
