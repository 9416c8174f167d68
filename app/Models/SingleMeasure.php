<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * One fish measured on a day.
 *
 * @property string $id
 * @property string $single_fish_id
 * @property Carbon $measured_on
 * @property ?float $length_cm
 * @property ?float $weight_g
 */
final class SingleMeasure extends Model
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
