<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A course of doses of one agent.
 *
 * @property string $thing
 * @property string $way
 * @property float $dose_mg_l
 * @property ?float $strength_pct
 * @property int $repeats
 * @property Carbon $started_at
 * @property ?Carbon $ended_at
 * @property ?string $end_reason
 * @property list<string> $returned what of the filter's return is done
 * @property ?string $vessel_id
 * @property ?Vessel $vessel
 * @property Collection<int, Dose> $doses
 */
final class Course extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'dose_mg_l' => 'float',
            'strength_pct' => 'float',
            'repeats' => 'integer',
            'started_at' => 'datetime',
            'ended_at' => 'datetime',
            'returned' => 'array',
        ];
    }

    /** @return HasMany<Dose, $this> */
    public function doses(): HasMany
    {
        $relation = $this->hasMany(Dose::class);
        $relation->whereNull('withdrawn_at')->orderBy('given_at');

        return $relation;
    }

    /** @return BelongsTo<Vessel, $this> */
    public function vessel(): BelongsTo
    {
        return $this->belongsTo(Vessel::class);
    }
}
