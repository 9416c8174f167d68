<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The keeper's own interval of a job on a part.
 *
 * @property string $job
 * @property string $part_id
 * @property ?float $every_d null where the job is not done here
 */
final class JobInterval extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['every_d' => 'float'];
    }
}
