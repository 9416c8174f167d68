<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The protocol by which new fish are held in a system.
 *
 * @property string $system_id
 * @property float $days
 * @property string $life_cycle what is looked for
 */
final class Quarantine extends Model
{
    use HasKey;

    /** Where nobody set one: three weeks. Common practice, no source. */
    public const USUAL_D = 21.0;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['days' => 'float'];
    }
}
