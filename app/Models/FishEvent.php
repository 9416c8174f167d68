<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Fish that moved, died or were sold, as it was written down then.
 *
 * @property string $id
 * @property string $kind
 * @property string $from_system_id
 * @property ?string $to_system_id
 * @property string $group_name
 * @property int $count
 * @property float $mean_weight_g
 * @property Carbon $happened_on
 * @property ?string $reason
 * @property ?string $single_fish_id
 * @property ?string $bag_id what they once came in
 * @property System $from
 * @property ?System $to
 * @property ?User $user
 */
final class FishEvent extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['happened_on' => 'date', 'count' => 'integer', 'mean_weight_g' => 'float'];
    }

    /** @return BelongsTo<System, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(System::class, 'from_system_id');
    }

    /** @return BelongsTo<System, $this> */
    public function to(): BelongsTo
    {
        return $this->belongsTo(System::class, 'to_system_id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
