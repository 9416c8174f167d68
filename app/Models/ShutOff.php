<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A time during which a bay was shut off from its loop, and what its valves stood at before.
 *
 * @property string $vessel_id
 * @property array<string, float> $openings valve by line, %
 * @property Carbon $shut_at
 * @property ?Carbon $opened_at
 * @property Vessel $vessel
 */
final class ShutOff extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['openings' => 'array', 'shut_at' => 'datetime', 'opened_at' => 'datetime'];
    }

    /** @return BelongsTo<Vessel, $this> */
    public function vessel(): BelongsTo
    {
        return $this->belongsTo(Vessel::class);
    }
}
