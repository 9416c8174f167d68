<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/**
 * Zeolite, resin or carbon that hangs in the loop.
 *
 * @property string $kind zeolite, resin, carbon or mixed
 * @property float $mass_g
 * @property ?float $capacity_mg_n_per_g
 * @property int $cycles how often it was regenerated
 * @property Carbon $put_in_at
 * @property ?Carbon $taken_out_at
 * @property ?string $good_id of the shelf
 * @property ?float $from_shelf g that it took off it
 */
final class Charge extends Part
{
    public const KINDS = ['zeolite', 'resin', 'carbon', 'mixed'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'mass_g' => 'float',
            'capacity_mg_n_per_g' => 'float',
            'cycles' => 'integer',
            'from_shelf' => 'float',
            'put_in_at' => 'datetime',
            'taken_out_at' => 'datetime',
        ];
    }

    public function holdsAmmonia(): bool
    {
        return $this->kind !== 'carbon';
    }

    public function holdsCarbon(): bool
    {
        return $this->kind === 'carbon' || $this->kind === 'mixed';
    }

    /**
     * What hangs in a system now.
     *
     * @return Builder<self>
     */
    public static function in(System $system): Builder
    {
        $query = self::query()->where('system_id', $system->id);
        $query->whereNull('taken_out_at')->orderBy('put_in_at');

        return $query;
    }
}
