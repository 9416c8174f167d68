<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * A step of an incident that somebody did, or skipped and said why.
 *
 * @property string $incident_id
 * @property string $step cause and code
 * @property string $words as it was told then
 * @property string $what done or skipped
 * @property ?string $why
 * @property Carbon $at
 * @property ?User $user
 */
final class IncidentTick extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
