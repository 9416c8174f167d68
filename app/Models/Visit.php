<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
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
 * @property ?string $vessel_id the bay it was taken in
 * @property Carbon $taken_at
 * @property Carbon $booked_at
 * @property ?Carbon $withdrawn_at
 * @property System $system
 * @property ?User $user
 * @property ?Vessel $vessel
 * @property ?string $spot where the disc was let down
 * @property ?string $corrects_id
 * @property ?Visit $corrects
 * @property Collection<int, Reading> $readings
 */
final class Visit extends Model
{
    use HasKey;
    use PlainAttributes;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'datetime', 'booked_at' => 'datetime', 'withdrawn_at' => 'datetime'];
    }

    /**
     * Visits that stand at a system, newest first, with what a list of them shows.
     *
     * @return Builder<self>
     */
    public static function bookedAt(System $system): Builder
    {
        return self::standing()
            ->where('system_id', $system->id)
            ->with(['readings', 'user', 'vessel']);
    }

    /** @return Builder<self> those that were not withdrawn, the newest first */
    public static function standing(): Builder
    {
        $query = self::query();
        $query->whereNull('withdrawn_at')->orderByDesc('taken_at')->orderByDesc('id');

        return $query;
    }

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

    /** @return BelongsTo<Visit, $this> what it stands in place of */
    public function corrects(): BelongsTo
    {
        return $this->belongsTo(self::class, 'corrects_id');
    }

    /** @return BelongsTo<Vessel, $this> */
    public function vessel(): BelongsTo
    {
        return $this->belongsTo(Vessel::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        $relation = $this->hasMany(Reading::class);
        $relation->orderBy('id');

        return $relation;
    }
}
