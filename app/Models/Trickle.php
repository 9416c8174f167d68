<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Measure\Format;

/**
 * New water that runs in all the while.
 *
 * @property float $flow_l_h
 * @property Carbon $started_at
 * @property ?Carbon $ended_at
 * @property ?string $water_id
 * @property ?string $treated_by what takes its chlorine out
 * @property ?WaterSource $water
 */
final class Trickle extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['flow_l_h' => 'float', 'started_at' => 'datetime', 'ended_at' => 'datetime'];
    }

    /** @return BelongsTo<WaterSource, $this> */
    public function water(): BelongsTo
    {
        return $this->belongsTo(WaterSource::class, 'water_id');
    }

    /** The one that runs in a system. */
    public static function running(System $system): ?self
    {
        $query = self::query()->with('water')->where('system_id', $system->id);
        $query->whereNull('ended_at');

        return $query->first();
    }

    public function text(): string
    {
        return 'Trickle of ' .
            Format::number($this->flow_l_h, 3) .
            ' L/h' .
            ($this->water === null ? '' : " from {$this->water->name}") .
            (($this->treated_by ?? '') === '' ? '' : ", through {$this->treated_by},");
    }
}
