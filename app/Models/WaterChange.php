<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Water that was changed or topped up.
 *
 * @property string $kind batch or topup
 * @property float $litres
 * @property float $volume_l of the system as doses used it then
 * @property Carbon $changed_at
 * @property bool $pump_off whether a pump was switched off for it
 * @property ?float $planned_min how long the pump was to be off
 * @property ?float $danger_min how long it may be off
 * @property ?string $danger_by oxygen, ammonia or filter
 * @property ?Carbon $flow_seen_at
 * @property ?Carbon $withdrawn_at
 * @property list<array{what: string, name: string, text: string, done: bool, good?: string, amount?: float,
 *     unit?: string, taken?: ?float}> $put_back
 *     what the new water is still short of, and what of the shelf that takes
 * @property ?string $vessel_id a bay that was shut off
 * @property ?Vessel $vessel
 * @property ?WaterSource $water
 * @property ?User $user
 */
final class WaterChange extends Part
{
    public const KINDS = ['batch', 'topup'];

    protected $table = 'changes';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'litres' => 'float',
            'volume_l' => 'float',
            'changed_at' => 'datetime',
            'pump_off' => 'boolean',
            'planned_min' => 'float',
            'danger_min' => 'float',
            'flow_seen_at' => 'datetime',
            'withdrawn_at' => 'datetime',
            'put_back' => 'array',
        ];
    }

    /** @return BelongsTo<WaterSource, $this> */
    public function water(): BelongsTo
    {
        return $this->belongsTo(WaterSource::class, 'water_id');
    }

    /** @return BelongsTo<Vessel, $this> */
    public function vessel(): BelongsTo
    {
        return $this->belongsTo(Vessel::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Whether its pump is off still, as far as anybody has said. */
    public function running(): bool
    {
        return $this->pump_off && $this->flow_seen_at === null;
    }

    public function text(): string
    {
        $from =
            ($this->vessel === null ? '' : " in {$this->vessel->name}") .
            ($this->water === null ? '' : " from {$this->water->name}");

        return $this->kind === 'topup'
            ? number_format($this->litres) . ' L topped up for evaporation' . $from
            : number_format($this->litres) .
                    ' L changed, ' .
                    round((100 * $this->litres) / $this->volume_l, 1) .
                    ' % of the water' .
                    $from;
    }
}
