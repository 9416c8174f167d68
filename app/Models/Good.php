<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Something that stands on the keeper's shelf, dosed by what its label says.
 *
 * @property string $id
 * @property string $site_id
 * @property string $kind
 * @property string $name
 * @property array<string, float|string> $label as the calculator of its kind asks for it
 * @property ?float $cap_ml
 * @property ?Carbon $expires_on
 */
final class Good extends Model
{
    use HasKey;

    /** What each kind's label must say, by the keys of its calculator. */
    public const LABELS = [
        'conditioner' => ['label_ml', 'label_treats_l', 'label_chlorine_mg_l'],
        'binder' => ['label_ml', 'label_treats_l', 'label_binds_mg_l'],
        'culture' => ['label_ml', 'label_treats_l'],
        'agent' => ['label_ml', 'label_treats_l'],
    ];

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['label' => 'array', 'cap_ml' => 'float', 'expires_on' => 'date'];
    }
}
