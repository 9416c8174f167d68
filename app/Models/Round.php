<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A round that somebody walks, from the moment it is begun until it is finished.
 *
 * @property string $id
 * @property string $site_id
 * @property ?string $user_id whoever walks it now
 * @property Carbon $began_at
 * @property ?Carbon $ended_at
 * @property ?string $note of whoever finished it
 * @property ?string $passed_by who began it, or had it last
 * @property ?Carbon $passed_at
 * @property ?string $passed_note
 * @property ?User $user
 * @property ?User $passer
 * @property Collection<int, RoundMark> $marks
 */
final class Round extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.uP';

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['began_at' => 'datetime', 'ended_at' => 'datetime', 'passed_at' => 'datetime'];
    }

    public static function open(User $person): ?self
    {
        return self::query()->where('user_id', $person->id)->whereNull('ended_at')->first();
    }

    /** When this person last finished one; null where they never did. */
    public static function lastOf(User $person): ?Carbon
    {
        return self::query()
            ->where('user_id', $person->id)
            ->whereNotNull('ended_at')
            ->orderByDesc('ended_at')
            ->first()?->ended_at;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function passer(): BelongsTo
    {
        return $this->belongsTo(User::class, 'passed_by');
    }

    /** @return HasMany<RoundMark, $this> */
    public function marks(): HasMany
    {
        return $this->hasMany(RoundMark::class);
    }
}
