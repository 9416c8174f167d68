<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * What is fed a day, from one day on until the next figure.
 *
 * @property Carbon $since
 * @property float $feed_g_d
 * @property float $protein_pct
 * @property ?User $user
 */
final class FeedFigure extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['since' => 'date', 'feed_g_d' => 'float', 'protein_pct' => 'float'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
