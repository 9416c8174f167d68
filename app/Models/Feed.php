<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One feed as it was given, and how the fish took it.
 *
 * @property Carbon $fed_at
 * @property float $feed_g
 * @property ?string $came_up yes, slowly or no
 * @property bool $left_some
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 */
final class Feed extends Part
{
    public const CAME_UP = ['yes', 'slowly', 'no'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'fed_at' => 'datetime',
            'feed_g' => 'float',
            'left_some' => 'boolean',
            'withdrawn_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
