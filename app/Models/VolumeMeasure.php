<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * The volume of a system by water meter or by salt, with what it was worked out from.
 *
 * @property string $method
 * @property array<string, float> $input
 * @property float $volume_l
 * @property float $low_l
 * @property float $high_l
 * @property Carbon $created_at
 * @property ?User $user
 */
final class VolumeMeasure extends Part
{
    /** Method to calculator. */
    public const CALCULATORS = [
        'meter' => 'volume.by_meter',
        'salt' => 'volume.by_salt',
        'known' => 'volume.known',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'input' => 'array',
            'volume_l' => 'float',
            'low_l' => 'float',
            'high_l' => 'float',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
