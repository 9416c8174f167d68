<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * Weeks that a system slept through and woke from.
 *
 * @property Carbon $slept_from
 * @property Carbon $woke_at
 */
final class Sleep extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['slept_from' => 'datetime', 'woke_at' => 'datetime'];
    }
}
