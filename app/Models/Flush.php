<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Measure\Format;

/**
 * A stage that was flushed, or that was seen to be so far fouled, by whom and when.
 *
 * @property string $stage_id
 * @property string $name
 * @property Carbon $happened_at
 * @property ?float $seen_pct as it was seen; null where it was flushed
 * @property ?Carbon $was_cleaned_on
 * @property ?float $was_fouling_pct
 * @property ?Carbon $was_fouling_seen_on
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 */
final class Flush extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'happened_at' => 'datetime',
            'seen_pct' => 'float',
            'was_cleaned_on' => 'date',
            'was_fouling_pct' => 'float',
            'was_fouling_seen_on' => 'date',
            'withdrawn_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function text(): string
    {
        return $this->seen_pct === null
            ? "{$this->name} flushed"
            : "{$this->name} seen " . Format::number($this->seen_pct, 2) . ' % fouled';
    }

    /** The newest of a stage that stands; null where none was written down. */
    public static function latest(string $stageId): ?self
    {
        return self::query()
            ->where('stage_id', $stageId)
            ->whereNull('withdrawn_at')
            ->orderByDesc('happened_at')
            ->orderByDesc('id')
            ->first();
    }
}
