<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * Fish that came together, in bags.
 *
 * @property ?string $user_id
 * @property string $from_whom
 * @property ?Carbon $packed_at
 * @property Carbon $arrived_at
 * @property ?int $boxes
 * @property Collection<int, Bag> $bags
 * @property ?User $user
 */
final class Shipment extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['packed_at' => 'datetime', 'arrived_at' => 'datetime', 'boxes' => 'integer'];
    }

    /** @return HasMany<Bag, $this> */
    public function bags(): HasMany
    {
        $relation = $this->hasMany(Bag::class);
        $relation->orderBy('id');

        return $relation;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
