<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Ironwort\Core\Dose\Measures;

/**
 * Something that stands on the keeper's shelf, dosed by what its label says.
 *
 * @property string $id
 * @property string $site_id
 * @property string $kind as the core lists them
 * @property string $name
 * @property array<string, float|int> $label as the calculator of its kind asks for it
 * @property ?float $cap_ml
 * @property string $unit g, mL or pieces
 * @property ?float $amount left of it; null where nobody counts
 * @property ?float $strength_pct
 * @property ?Carbon $opened_on
 * @property ?string $lot
 * @property ?Carbon $expires_on
 */
final class Good extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'label' => 'array',
            'cap_ml' => 'float',
            'amount' => 'float',
            'strength_pct' => 'float',
            'opened_on' => 'date',
            'expires_on' => 'date',
        ];
    }

    /**
     * What is taken of a kind: what is good still before what is not, the opened before the sealed, the oldest first.
     */
    public static function inUse(string $siteId, string $kind): ?self
    {
        $query = self::query()->where('site_id', $siteId)->where('kind', $kind);
        $query->orderByRaw(
            'expires_on IS NOT NULL AND expires_on < current_date, amount = 0 NULLS FIRST, ' .
                'opened_on NULLS LAST, expires_on NULLS LAST, name',
        );

        return $query->first();
    }

    public function expired(): bool
    {
        return $this->expires_on?->isPast() ?? false;
    }

    public function left(): ?string
    {
        return $this->amount === null
            ? null
            : match ($this->unit) {
                'g' => Measures::grams($this->amount),
                'mL' => Measures::millilitres($this->amount),
                default => (string) (int) $this->amount,
            };
    }

    /** What tells this bottle from another: its lot and since when it is open. */
    public function mark(): string
    {
        return implode(
            ', ',
            array_filter([
                $this->lot === null ? null : "lot {$this->lot}",
                $this->opened_on === null ? null : 'opened ' . Age::of($this->opened_on),
            ]),
        );
    }
}
