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
 * @property string $visit_id
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
    use PlainAttributes;

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
        // Pages judge hundreds of readings: the columns themselves, without a cast for each look at one.
        $of = $this->columns();

        return new JudgedReading(
            $this->measured(),
            (float) $of['value'],
            Interval::between((float) $of['low'], (float) $of['high']),
        );
    }

    /** What tells it from every other reading, and from itself once it is corrected. */
    public function mark(): string
    {
        $of = $this->columns();

        return "{$of['id']}:{$of['value']}";
    }

    /** How long ago it was taken; asked of every reading of every system of a page, so without a date of its own. */
    public function ageH(): float
    {
        $taken = $this->columns()['taken_at'];
        $at = is_string($taken) ? strtotime($taken) : false;

        return ($at === false ? $this->taken_at->diffInSeconds(Carbon::now()) : Age::now() - $at) / 3600;
    }

    /**
     * @return array{id: int, parameter: string, value: float|string, low: float|string, high: float|string,
     *     taken_at: mixed}
     */
    private function columns(): array
    {
        /**
         * @var array{id: int, parameter: string, value: float|string, low: float|string, high: float|string,
         *     taken_at: mixed}
         */
        return $this->attributes;
    }

    public function measured(): Parameter
    {
        return Parameter::from($this->columns()['parameter']);
    }
}
