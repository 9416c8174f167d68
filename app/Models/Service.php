<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Service\Rinse;

/**
 * A job of service: being run step by step, or done.
 *
 * @property string $job id of the table of jobs, or `own` with the key of an own job
 * @property string $job_name as it was called then
 * @property string $part_kind stage, pump, vessel or system
 * @property string $part_id
 * @property string $name of the part
 * @property string $way stopped, throttled, or told: done before anybody opened it here
 * @property Rinse $rinse
 * @property list<array{code: string, text: string, switches: ?string, on: bool, flow: bool, after_flow: bool,
 *     caution: bool, done_at: ?string, done_by: ?string}> $steps
 * @property Carbon $started_at
 * @property float $planned_min
 * @property ?Carbon $flow_seen_at
 * @property ?float $flow_l_h as it was seen
 * @property ?Carbon $ended_at
 * @property ?float $water_l that left the system
 * @property ?float $cost
 * @property ?string $note
 * @property ?string $setback_id what it cost the filter
 * @property ?string $flush_id
 * @property ?string $change_id the water that left, as a change
 * @property array<string, ?string> $was dates of the part before
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 * @property ?User $ender
 */
final class Service extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'rinse' => Rinse::class,
            'steps' => 'array',
            'was' => 'array',
            'started_at' => 'datetime',
            'planned_min' => 'float',
            'flow_seen_at' => 'datetime',
            'flow_l_h' => 'float',
            'ended_at' => 'datetime',
            'water_l' => 'float',
            'cost' => 'float',
            'withdrawn_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function ender(): BelongsTo
    {
        return $this->belongsTo(User::class, 'ended_by');
    }

    public function open(): bool
    {
        return $this->ended_at === null && $this->withdrawn_at === null;
    }

    public function text(): string
    {
        return "{$this->name}: " . lcfirst($this->job_name) . ($this->note === null ? '' : ", {$this->note}");
    }
}
