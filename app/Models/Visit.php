<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * One round of tests at one system. Never deleted: an undone visit is withdrawn.
 *
 * @property string $id
 * @property string $site_id
 * @property string $system_id
 * @property ?string $user_id
 * @property Carbon $taken_at
 * @property Carbon $booked_at
 * @property ?Carbon $withdrawn_at
 * @property System $system
 * @property ?User $user
 * @property Collection<int, Reading> $readings
 */
final class Visit extends Model
{
    use HasUlids;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['taken_at' => 'datetime', 'booked_at' => 'datetime', 'withdrawn_at' => 'datetime'];

    /** @return BelongsTo<System, $this> */
    public function system(): BelongsTo
    {
        return $this->belongsTo(System::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('id');
    }
}
