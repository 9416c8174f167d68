<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A group of fish measured on a day: its mean length, its mean weight, or both.
 *
 * @property string $id
 * @property string $fish_group_id
 * @property Carbon $measured_on
 * @property ?float $length_cm
 * @property ?float $weight_g
 */
final class FishMeasure extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['measured_on' => 'date', 'length_cm' => 'float', 'weight_g' => 'float'];
    }
}
