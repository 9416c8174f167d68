<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Which figure doses go by from one day on: a measured volume, or geometry when there is none.
 *
 * @property ?string $measure_id
 * @property float $volume_l
 * @property Carbon $created_at
 * @property ?User $user
 */
final class VolumeChoice extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['volume_l' => 'float'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
