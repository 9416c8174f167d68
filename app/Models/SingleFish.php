<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One fish with a name: it is counted in its group, and has a history of its own.
 *
 * @property ?string $fish_group_id
 * @property string $name
 * @property ?string $variety in the keeper's own words
 * @property ?string $origin
 * @property ?string $note
 * @property Carbon $created_at
 * @property ?string $gone sold, given or died
 * @property ?Carbon $gone_on
 * @property ?string $gone_why
 * @property Collection<int, SingleMeasure> $measures
 * @property Collection<int, Look> $looks
 * @property ?FishGroup $group
 */
final class SingleFish extends Part
{
    protected $table = 'single_fish';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['gone_on' => 'date'];
    }

    /** @return HasMany<SingleMeasure, $this> */
    public function measures(): HasMany
    {
        $relation = $this->hasMany(SingleMeasure::class);
        $relation->orderBy('measured_on');

        return $relation;
    }

    /** @return HasMany<Look, $this> */
    public function looks(): HasMany
    {
        $relation = $this->hasMany(Look::class);
        $relation->orderByDesc('id');

        return $relation;
    }

    /** @return BelongsTo<FishGroup, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(FishGroup::class, 'fish_group_id');
    }
}
