<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * What cost a filter part of its bacteria.
 *
 * @property Carbon $happened_on
 * @property string $kind
 * @property float $lost_pct
 */
final class Setback extends Part
{
    public const KINDS = ['wash', 'stop', 'medicine', 'new_media'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['happened_on' => 'date', 'lost_pct' => 'float'];
    }
}
