<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Ironwort\Core\Incident\Cause;
use Ironwort\Core\Incident\Event;

/**
 * Trouble that is worked on until it has ended.
 *
 * @property ?string $user_id
 * @property Event $event it began with
 * @property list<string> $signs
 * @property Carbon $opened_at
 * @property ?Carbon $ended_at
 * @property ?string $ended_by
 * @property ?Cause $cause as it was found in the end
 * @property ?string $prevent what is to be changed
 * @property ?float $other_cost what was paid beside water and services
 * @property ?string $early_why why it was ended before its rule was met
 * @property Collection<int, IncidentTick> $ticks
 * @property ?User $user
 * @property ?User $ender
 */
final class Incident extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'event' => Event::class,
            'cause' => Cause::class,
            'signs' => 'array',
            'opened_at' => 'datetime',
            'ended_at' => 'datetime',
            'other_cost' => 'float',
        ];
    }

    public static function open(System $system): ?self
    {
        return self::query()->with('ticks.user')->where('system_id', $system->id)->whereNull('ended_at')->first();
    }

    /** @return HasMany<IncidentTick, $this> */
    public function ticks(): HasMany
    {
        $relation = $this->hasMany(IncidentTick::class);
        $relation->orderBy('at');

        return $relation;
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function ender(): BelongsTo
    {
        return $this->belongsTo(User::class, 'ended_by');
    }
}
