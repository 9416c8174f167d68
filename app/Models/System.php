<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\Auth;

/**
 * One body of water going round one loop.
 *
 * @property string $id
 * @property string $site_id
 * @property string $slug
 * @property string $name
 * @property string $kind
 * @property string $life_stage
 * @property int $position
 * @property Site $site
 * @property Collection<int, Vessel> $vessels
 * @property Collection<int, Stage> $stages
 * @property Collection<int, FishGroup> $fish
 */
final class System extends Model
{
    use HasUlids;

    public const KINDS = ['holding', 'quarantine', 'start', 'display', 'fry', 'hospital'];

    protected $guarded = [];

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
        return self::query()->where('site_id', Auth::user()?->site_id)->where('slug', $value)->first();
    }

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Vessel, $this> */
    public function vessels(): HasMany
    {
        return $this->hasMany(Vessel::class)->orderBy('position')->orderBy('name');
    }

    /** @return HasMany<Stage, $this> */
    public function stages(): HasMany
    {
        return $this->hasMany(Stage::class)->orderBy('position')->orderBy('name');
    }

    /** @return HasMany<FishGroup, $this> */
    public function fish(): HasMany
    {
        return $this->hasMany(FishGroup::class)->orderBy('position')->orderBy('name');
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

    /** The feed figure in force, the one of the latest day that has come. */
    public function feed(): ?FeedFigure
    {
        return $this->feedFigures()->where('since', '<=', now($this->site->timezone)->toDateString())->orderByDesc('since')->first();
    }

    /** @param  Builder<self>  $query */
    public function scopeOfSite(Builder $query, Site $site): void
    {
        $query->where('site_id', $site->id)->orderBy('position')->orderBy('name');
    }
}
