<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What became of one system on a round.
 *
 * @property string $round_id
 * @property ?string $user_id
 * @property string $what looked or skipped
 * @property ?string $why it was skipped
 * @property Carbon $at
 * @property Round $round
 * @property ?User $user
 */
final class RoundMark extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['at' => 'datetime'];
    }

    /** @return BelongsTo<Round, $this> */
    public function round(): BelongsTo
    {
        return $this->belongsTo(Round::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
