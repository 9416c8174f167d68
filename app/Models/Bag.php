<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Fish\Condition;

/**
 * One bag of a shipment: its fish, its water as far as it was measured, its drip, and when they went in.
 *
 * @property string $shipment_id
 * @property string $name what the fish in it are called
 * @property int $count
 * @property float $length_cm
 * @property ?float $litres
 * @property ?float $temp_c
 * @property ?float $ph
 * @property ?float $tan_mg_l
 * @property ?float $kh_dkh
 * @property ?float $salinity_g_l
 * @property ?float $no3_n_mg_l
 * @property ?float $drip_l_min
 * @property ?float $drip_min
 * @property ?Carbon $drip_from
 * @property ?Carbon $in_at
 * @property int $dead on arrival
 * @property Shipment $shipment
 */
final class Bag extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'count' => 'integer',
            'dead' => 'integer',
            'length_cm' => 'float',
            'litres' => 'float',
            'temp_c' => 'float',
            'ph' => 'float',
            'tan_mg_l' => 'float',
            'kh_dkh' => 'float',
            'salinity_g_l' => 'float',
            'no3_n_mg_l' => 'float',
            'drip_l_min' => 'float',
            'drip_min' => 'float',
            'drip_from' => 'datetime',
            'in_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Shipment, $this> */
    public function shipment(): BelongsTo
    {
        return $this->belongsTo(Shipment::class);
    }

    /** Of all its fish, by their length. */
    public function kg(): float
    {
        return ($this->count * Condition::weight($this->length_cm)) / 1000;
    }

    /** How long it was or is closed, hours; null where nobody knows when it was packed. */
    public function hours(): ?float
    {
        $opened = $this->drip_from ?? ($this->in_at ?? Carbon::now());

        return $this->shipment->packed_at === null
            ? null
            : max(0.0, $this->shipment->packed_at->diffInMinutes($opened) / 60);
    }
}
