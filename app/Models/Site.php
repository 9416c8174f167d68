<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A place with systems in it.
 *
 * @property string $id
 * @property string $name
 * @property string $timezone
 * @property float $altitude_m
 * @property ?float $latitude_deg south under 0
 * @property bool $is_demo
 * @property ?float $price_per_kwh
 * @property ?float $price_per_m3 of water and waste together
 * @property ?string $emergency_call whom to call, as it is printed on the emergency cards
 * @property Collection<int, SchoolChoice> $schools
 */
final class Site extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'altitude_m' => 'float',
            'latitude_deg' => 'float',
            'is_demo' => 'boolean',
            'price_per_kwh' => 'float',
            'price_per_m3' => 'float',
        ];
    }

    /** @return HasMany<SchoolChoice, $this> what holds for all its systems that choose nothing else */
    public function schools(): HasMany
    {
        $relation = $this->hasMany(SchoolChoice::class);
        $relation->whereNull('system_id');

        return $relation;
    }

    /** @return HasMany<System, $this> */
    public function systems(): HasMany
    {
        $relation = $this->hasMany(System::class);
        $relation->orderBy('position')->orderBy('name');

        return $relation;
    }
}
