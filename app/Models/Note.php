<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * What a keeper saw, from a short list and in words.
 *
 * @property Carbon $taken_at
 * @property string $words
 * @property list<string> $seen
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 * @property ?Look $look
 */
final class Note extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'datetime', 'seen' => 'array', 'withdrawn_at' => 'datetime'];
    }

    /** @return HasOne<Photo, $this> */
    public function photo(): HasOne
    {
        return $this->hasOne(Photo::class, 'id');
    }

    /** @return HasOne<Look, $this> what was seen on fish, where they were looked at one by one */
    public function look(): HasOne
    {
        return $this->hasOne(Look::class, 'id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
