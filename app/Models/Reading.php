<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\Reading as JudgedReading;
use Ironwort\Core\Measure\Interval;

/**
 * One value as typed, with the canonical value and the interval it stands for.
 *
 * @property string $system_id
 * @property Parameter $parameter
 * @property string $typed
 * @property ?string $unit
 * @property float $value
 * @property float $low
 * @property float $high
 * @property Carbon $taken_at
 * @property Visit $visit
 */
final class Reading extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'parameter' => Parameter::class,
            'value' => 'float',
            'low' => 'float',
            'high' => 'float',
            'taken_at' => 'datetime',
        ];
    }

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    public function judged(): JudgedReading
    {
        return new JudgedReading($this->parameter, $this->value, Interval::between($this->low, $this->high));
    }
}
