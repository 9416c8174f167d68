<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * A bay, vat, tub, pond, sump or chamber. Its volume is computed from its shape whenever it is asked for.
 *
 * @property string $name
 * @property string $kind
 * @property string $shape
 * @property array<string, mixed> $measures
 * @property float $freeboard_m
 * @property float $displaced_l
 * @property bool $netted
 * @property float $level_mm water level against that of the system
 * @property ?float $may_fall_mm how far the level may fall with the pump running
 * @property bool $overflow
 * @property bool $float_valve
 * @property ?float $refill_l_min what that lets in, open wide
 * @property string $shade
 * @property float $stones_m2 stones on its floor
 * @property float $silt_m2
 * @property float $plants_m2
 * @property bool $invertebrates snails, mussels or crayfish live in it
 * @property ?Carbon $retired_at
 * @property ?float $cost
 * @property int $position
 */
final class Vessel extends Part
{
    public const KINDS = ['bay', 'vat', 'tub', 'pond', 'sump', 'chamber'];

    public const SHADES = ['none', 'part', 'full'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'cost' => 'float',
            'measures' => 'array',
            'freeboard_m' => 'float',
            'displaced_l' => 'float',
            'netted' => 'boolean',
            'level_mm' => 'float',
            'may_fall_mm' => 'float',
            'overflow' => 'boolean',
            'float_valve' => 'boolean',
            'refill_l_min' => 'float',
            'retired_at' => 'datetime',
            'stones_m2' => 'float',
            'silt_m2' => 'float',
            'plants_m2' => 'float',
            'invertebrates' => 'boolean',
        ];
    }

    public function holdsFish(): bool
    {
        return !in_array($this->kind, ['sump', 'chamber'], true);
    }

    /** @return array<string, mixed> input of `volume.vessel` */
    public function calculation(): array
    {
        return [
            'shape' => $this->shape,
            ...$this->measures,
            'freeboard_m' => $this->freeboard_m,
            'displaced_l' => $this->displaced_l,
        ];
    }
}
