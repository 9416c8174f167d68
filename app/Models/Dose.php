<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\Measures;
use Ironwort\Core\Measure\Format;

/**
 * Something that was given to the water, with what it was worked out on.
 *
 * @property string $thing an agent's id, or binder, bicarbonate, culture, own
 * @property string $name
 * @property string $way prolonged, bath or dip
 * @property float $amount
 * @property string $unit g or mL
 * @property bool $as_fact it had been given already when it was booked
 * @property ?float $mg_l
 * @property float $volume_l as doses used it then
 * @property string $calc
 * @property array<string, mixed> $input of that calculator
 * @property list<string> $conditions it was given under
 * @property ?string $override_reason why conditions were not kept
 * @property Carbon $given_at
 * @property ?float $minutes how long fish may be in it
 * @property ?Carbon $ended_at
 * @property ?Carbon $withdrawn_at
 * @property ?string $vessel_id
 * @property ?string $course_id
 * @property ?string $good_id what of the shelf it was taken from
 * @property ?float $from_shelf how much of that
 * @property ?Good $good
 * @property ?Vessel $vessel
 * @property ?User $user
 */
final class Dose extends Part
{
    /** A volume that differs by so much makes another dose of it, percent. */
    public const VOLUME_MATTERS_PCT = 5.0;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'amount' => 'float',
            'mg_l' => 'float',
            'volume_l' => 'float',
            'input' => 'array',
            'conditions' => 'array',
            'given_at' => 'datetime',
            'minutes' => 'float',
            'ended_at' => 'datetime',
            'withdrawn_at' => 'datetime',
            'from_shelf' => 'float',
            'as_fact' => 'boolean',
        ];
    }

    /** @return BelongsTo<Vessel, $this> */
    public function vessel(): BelongsTo
    {
        return $this->belongsTo(Vessel::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Good, $this> */
    public function good(): BelongsTo
    {
        return $this->belongsTo(Good::class);
    }

    public function running(): bool
    {
        return $this->minutes !== null && $this->ended_at === null && $this->withdrawn_at === null;
    }

    public function text(): string
    {
        $amount = $this->unit === 'g' ? Measures::grams($this->amount) : Measures::millilitres($this->amount);
        $way = ['bath' => ' as a bath', 'dip' => ' as a dip'][$this->way] ?? '';

        return "{$amount} of " .
            lcfirst($this->name) .
            $way .
            ($this->vessel === null ? '' : " in {$this->vessel->name}") .
            ' on ' .
            Format::number($this->volume_l, 4) .
            ' L' .
            ($this->good?->lot === null ? '' : ", {$this->good->name}, lot {$this->good->lot}");
    }

    /**
     * What the volume known today makes of it, where that differs.
     *
     * @param  float  $volumeL  of the same body of water today
     */
    public function afterwards(float $volumeL): ?string
    {
        // A bath has a volume of its own.
        $off = $volumeL > 0 && $this->way === 'prolonged' ? 100 * ($this->volume_l / $volumeL - 1) : 0.0;
        if (abs($off) < self::VOLUME_MATTERS_PCT) {
            return null;
        }

        return 'The volume has since been corrected to ' .
            Format::number($volumeL, 4) .
            ' L: it was ' .
            Format::number(abs($off), 2) .
            ' % ' .
            ($off > 0 ? 'stronger' : 'weaker') .
            ' than meant.';
    }
}
