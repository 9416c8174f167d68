<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A place with systems in it.
 *
 * @property string $id
 * @property string $name
 * @property string $timezone
 * @property float $altitude_m
 * @property bool $is_demo
 * @property ?float $price_per_kwh
 */
final class Site extends Model
{
    use HasKey;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['altitude_m' => 'float', 'is_demo' => 'boolean', 'price_per_kwh' => 'float'];
    }

    /** @return HasMany<System, $this> */
    public function systems(): HasMany
    {
        $relation = $this->hasMany(System::class);
        $relation->orderBy('position')->orderBy('name');

        return $relation;
    }
}
