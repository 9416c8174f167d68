<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The counter of the meter in the pipe that brings new water, as it was read.
 *
 * @property float $litres as it counts, L
 * @property Carbon $read_at
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 */
final class MeterReading extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['litres' => 'float', 'read_at' => 'datetime', 'withdrawn_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function text(): string
    {
        return 'Water meter read ' . number_format($this->litres) . ' L';
    }

    /** @return list<self> those of a system that stand, newest first */
    public static function latest(System $system, int $most): array
    {
        return array_values(
            self::query()
                ->with('user')
                ->where('system_id', $system->id)
                ->whereNull('withdrawn_at')
                ->orderByDesc('read_at')
                ->orderByDesc('id')
                ->limit($most)
                ->get()
                ->all(),
        );
    }
}
