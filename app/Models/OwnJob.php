<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A job of service that the keeper added.
 *
 * @property string $name
 * @property string $part_kind stage, pump, vessel or system
 * @property string $part_id
 * @property float $every_d
 * @property float $minutes
 */
final class OwnJob extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['every_d' => 'float', 'minutes' => 'float'];
    }
}
