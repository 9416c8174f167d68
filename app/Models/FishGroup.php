<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * Fish of one size that are counted together.
 *
 * @property string $name
 * @property int $count
 * @property float $length_cm
 * @property float $condition
 * @property ?string $vessel_id the bay they swim in
 * @property ?float $weight_g as weighed, when it was
 * @property ?Carbon $arrived_on
 * @property ?string $bag_id what they came in
 * @property Collection<int, FishMeasure> $measures
 * @property int $position
 */
final class FishGroup extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'count' => 'integer',
            'length_cm' => 'float',
            'condition' => 'float',
            'weight_g' => 'float',
            'arrived_on' => 'date',
        ];
    }

    /** @return HasMany<FishMeasure, $this> */
    public function measures(): HasMany
    {
        $relation = $this->hasMany(FishMeasure::class);
        $relation->orderBy('measured_on');

        return $relation;
    }

    /** @return array<string, float> input of `fish.weight` */
    public function calculation(): array
    {
        return ['length_cm' => $this->length_cm, 'condition' => $this->condition];
    }
}
