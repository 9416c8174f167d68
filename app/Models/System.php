<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Ironwort\Core\Filter\AfterSetback;
use Ironwort\Core\Filter\NitrateSinksCalculator;
use Ironwort\Core\Judge\LimitTable;
use Ironwort\Core\Loop\Joints;
use Ironwort\Core\Loop\PlaceKind;

/**
 * One body of water going round one loop.
 *
 * @property string $id
 * @property string $site_id
 * @property string $slug
 * @property string $name
 * @property string $kind
 * @property string $life_stage
 * @property ?string $water_id the water it is filled from
 * @property ?Carbon $asleep_since
 * @property ?string $variant_of_id the system it is another build of, planned and not built
 * @property ?Carbon $created_at
 * @property int $position
 * @property Site $site
 * @property Collection<int, Vessel> $vessels
 * @property Collection<int, Stage> $stages
 * @property Collection<int, Pump> $pumps
 * @property Collection<int, Line> $lines
 * @property Collection<int, AirOutlet> $airOutlets
 * @property Collection<int, Junction> $junctions
 * @property Collection<int, FishGroup> $fish
 * @property Collection<int, ShutOff> $shutOffs
 * @property Collection<int, OwnLimit> $ownLimits
 * @property Collection<int, SchoolChoice> $schools
 * @property Collection<int, TestPlan> $testPlans
 * @property Collection<int, Setback> $setbacks of the last weeks
 */
final class System extends Model
{
    use HasKey;
    use PlainAttributes;

    private const FEED = 'feedInForce';

    /** What a system is for. */
    public const KIND_NAMES = [
        'holding' => 'Holding',
        'quarantine' => 'Quarantine',
        'display' => 'Display pond',
        'fry' => 'Fry',
        'hospital' => 'Hospital',
        'start' => 'A filter being started',
    ];

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['asleep_since' => 'datetime'];
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    /**
     * Systems are found by name within the site of whoever asks, and nowhere else.
     *
     * @param  mixed  $value
     * @param  string|null  $field
     */
    public function resolveRouteBinding($value, $field = null): ?self
    {
        $person = Auth::user();

        return $person instanceof User
            ? self::query()->where('site_id', $person->site_id)->where('slug', $value)->first()
            : null;
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Vessel, $this> */
    public function vessels(): HasMany
    {
        $relation = $this->hasMany(Vessel::class);
        $relation->whereNull('retired_at')->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Stage, $this> */
    public function stages(): HasMany
    {
        $relation = $this->hasMany(Stage::class);
        $relation->whereNull('retired_at')->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Pump, $this> */
    public function pumps(): HasMany
    {
        $relation = $this->hasMany(Pump::class);
        $relation->whereNull('retired_at')->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<Junction, $this> */
    public function junctions(): HasMany
    {
        $relation = $this->hasMany(Junction::class);
        $relation->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @param  Collection<int, System>  $systems  of which a page asks the same, one after the other */
    public static function lookAtTogether(Collection $systems): void
    {
        $connection = DB::connection();
        if ($connection instanceof LooksAtMany) {
            $connection->lookAtTogether(
                array_values($systems->map(static fn(self $system): string => $system->id)->all()),
            );
        }
    }

    /** @return HasMany<Pump, $this> what other systems lend it now */
    public function borrowed(): HasMany
    {
        $relation = $this->hasMany(Pump::class, 'lent_to_id');
        $relation->whereNull('retired_at')->orderBy('name')->orderBy('id');

        return $relation;
    }

    /** @return list<Pump> its own devices, and what other systems lend it: what is lent has no place in its loop */
    public function devices(): array
    {
        return [...$this->pumps->all(), ...$this->borrowed->all()];
    }

    /** @return HasMany<Line, $this> */
    public function lines(): HasMany
    {
        $relation = $this->hasMany(Line::class);
        $relation->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<AirOutlet, $this> */
    public function airOutlets(): HasMany
    {
        $relation = $this->hasMany(AirOutlet::class);
        $relation->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<FishGroup, $this> */
    public function fish(): HasMany
    {
        $relation = $this->hasMany(FishGroup::class);
        $relation->where('count', '>', 0)->orderBy('position')->orderBy('name');

        return $relation;
    }

    /** @return HasMany<ShutOff, $this> bays shut off now */
    public function shutOffs(): HasMany
    {
        $relation = $this->hasMany(ShutOff::class);
        $relation->whereNull('opened_at')->orderBy('shut_at');

        return $relation;
    }

    /** @return HasMany<OwnLimit, $this> */
    public function ownLimits(): HasMany
    {
        return $this->hasMany(OwnLimit::class);
    }

    /** @return HasMany<SchoolChoice, $this> */
    public function schools(): HasMany
    {
        return $this->hasMany(SchoolChoice::class);
    }

    /** @return HasMany<TestPlan, $this> */
    public function testPlans(): HasMany
    {
        return $this->hasMany(TestPlan::class);
    }

    /** @return HasMany<Setback, $this> those of the last weeks, the newest first */
    public function setbacks(): HasMany
    {
        $relation = $this->hasMany(Setback::class);
        $relation
            ->where('happened_on', '>', Carbon::now()->subDays(AfterSetback::DAYS + 2))
            ->orderByDesc('happened_on');

        return $relation;
    }

    /** @return HasMany<FeedFigure, $this> */
    public function feedFigures(): HasMany
    {
        return $this->hasMany(FeedFigure::class);
    }

    /** @return HasMany<Visit, $this> */
    public function visits(): HasMany
    {
        return $this->hasMany(Visit::class);
    }

    /** Nitrogen that plant fertiliser brings into its water, g N/d: made beside what the fish give. */
    public function fertiliserGD(): float
    {
        return $this->feed()?->fertiliserGD() ?? 0.0;
    }

    /** The feed figure in force, the one of the latest day that has come. */
    public function feed(): ?FeedFigure
    {
        if ($this->relationLoaded(self::FEED)) {
            $known = $this->getRelation(self::FEED);

            return $known instanceof FeedFigure ? $known : null;
        }
        $today = now($this->site->timezone)->toDateString();
        $query = FeedFigure::query()->where('system_id', $this->id)->where('since', '<=', $today);
        $query->orderByDesc('since');

        $feed = $query->first();
        // Asked for many times by one page; forgotten with all else that was read of the system.
        $this->setRelation(self::FEED, $feed);

        return $feed;
    }

    /**
     * The systems of a site in walking order; builds that are only planned are none.
     *
     * @return Builder<self>
     */
    public static function ofSite(Site $site): Builder
    {
        $query = self::query()->where('site_id', $site->id)->whereNull('variant_of_id');
        $query->orderBy('position')->orderBy('name');

        return $query;
    }

    /**
     * Those that do not sleep, with what their state and what is due are judged by.
     *
     * @return Collection<int, self>
     */
    public static function awakeOf(Site $site): Collection
    {
        $query = self::ofSite($site)->with([
            'site.schools',
            'vessels',
            'stages',
            'fish',
            'ownLimits',
            'setbacks',
            'schools',
            'testPlans',
            'lines',
            'pumps',
            'borrowed',
            'airOutlets',
            'shutOffs',
        ]);
        $query->whereNull('asleep_since')->limit(200);

        return $query->get();
    }

    /** The same row, locked until the transaction ends: whoever else would write to this system waits. */
    public function hold(): self
    {
        return self::query()->whereKey($this->id)->lock('for no key update')->firstOrFail();
    }

    /** Whose limits hold here: fish are judged by the fish, whatever its filter is about. */
    public function judgedAs(): string
    {
        // Asked for every reading of every system of a page: the column itself, without a cast.
        /** @var string $stage */
        $stage = $this->attributes['life_stage'];

        return $stage === 'starting'
            ? LimitTable::inForce($stage, $this->fish->contains(static fn(FishGroup $group): bool => $group->count > 0))
            : $stage;
    }

    /** @return list<string> ids of the lines that can carry water as the valves stand */
    public function carrying(): array
    {
        return Joints::carrying(
            array_values(
                $this->lines
                    ->filter(static fn(Line $line): bool => $line->to()->kind !== PlaceKind::Outside)
                    ->map(static fn(Line $line): array => $line->joint())
                    ->all(),
            ),
        );
    }

    /**
     * @return list<Line> all its returns where every one is shut, so that nothing goes round; none while one is open
     */
    public function shutReturns(): array
    {
        $back = $this->lines->filter(
            static fn(Line $line): bool => $line->to_vessel_id !== null && $line->from_vessel_id === null,
        );

        $carrying = $this->carrying();
        if ($back->isEmpty() || $back->contains(static fn(Line $line): bool => in_array($line->id, $carrying, true))) {
            return [];
        }
        $shut = $this->lines->filter(static fn(Line $line): bool => $line->shuts() && $line->valveState() === 'off');
        $behind = $back->every(static fn(Line $line): bool => $line->from_junction_id === null)
            ? $back
            : $this->lines->filter(
                static fn(Line $line): bool => $line->to_vessel_id !== null || $line->to_junction_id !== null,
            );

        return array_values($shut->intersect($behind)->all());
    }

    /**
     * Share of its usual flow that goes round now, 0 to 1: by the pumps that run, each by its power; half for one that
     * runs by day only or on alternate days. All of it where no pump is described.
     */
    public function flowShare(): float
    {
        $pumps = $this->pumps->filter(static fn(Pump $pump): bool => $pump->circulates());
        $all = $pumps->sum(static fn(Pump $pump): float => max(1.0, $pump->power_w));
        $runs = $pumps->sum(
            static fn(Pump $pump): float => $pump->running
                ? max(1.0, $pump->power_w) * ($pump->by_day || $pump->state === 'alternate' ? 0.5 : 1.0)
                : 0.0,
        );

        return match (true) {
            $this->shutReturns() !== [] => 0.0,
            $all > 0 => $runs / $all,
            default => 1.0,
        };
    }

    /** What passes the filter: the most that goes through any of its stages, L/h. */
    public function throughput(): float
    {
        return $this->stages->reduce(
            static fn(float $most, Stage $stage): float => max($most, $stage->bypassed ? 0.0 : $stage->flow_l_h),
            0.0,
        );
    }

    /** Cover of plants in all its vessels, m². */
    public function plantsM2(): float
    {
        return (float) $this->vessels->sum(static fn(Vessel $vessel): float => $vessel->plants_m2);
    }

    /** All its bogs seen from above, m². */
    public function bogM2(): float
    {
        return (float) $this->stages->sum(
            static fn(Stage $stage): float => $stage->kind === 'bog'
                ? NitrateSinksCalculator::bogM2($stage->media_l, $stage->plan_m2)
                : 0.0,
        );
    }
}
