<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/**
 * A pump, an air pump, a heater, a lamp or a valve that was switched, by whom and why.
 *
 * @property string $thing pump, lamp, valve or outlet
 * @property string $part_id
 * @property string $name
 * @property string $kind of the pump; lamp of a lamp, valve of a valve
 * @property string $state on, off, alternate or lent
 * @property ?string $to_system_id where it was lent to
 * @property ?System $lentTo
 * @property string $was
 * @property ?float $was_pct how far a valve stood open before
 * @property Carbon $happened_at
 * @property ?string $reason
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 */
final class Switching extends Part
{
    public const STATES = ['on', 'off', 'alternate', 'lent'];

    private const ASKED_D = 30;

    private const SAID = [
        'on' => 'on',
        'off' => 'off',
        'alternate' => 'on alternate days',
        'lent' => 'lent to another system',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['was_pct' => 'float', 'happened_at' => 'datetime', 'withdrawn_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<System, $this> */
    public function lentTo(): BelongsTo
    {
        return $this->belongsTo(System::class, 'to_system_id');
    }

    public static function said(string $state, string $thing = 'pump'): string
    {
        return match (true) {
            !in_array($thing, ['valve', 'outlet'], true) => self::SAID[$state] ?? $state,
            $state === 'on' => 'open',
            default => 'shut',
        };
    }

    public function text(): string
    {
        return "{$this->name}: " .
            ($this->lentTo === null ? self::said($this->state, $this->thing) : "lent to {$this->lentTo->name}") .
            ($this->reason === null ? '' : ", {$this->reason}");
    }

    /** The newest of a part that stands; null where it was never switched. */
    public static function latest(string $partId): ?self
    {
        return self::query()
            ->where('part_id', $partId)
            ->whereNull('withdrawn_at')
            ->orderByDesc('happened_at')
            ->orderByDesc('id')
            ->first();
    }

    /**
     * Hours a part has run since a day: all of them where it was never switched, half where it ran on alternate days.
     */
    public static function ranHours(string $partId, string $now, Carbon $since): float
    {
        $rows = self::query()->where('part_id', $partId)->whereNull('withdrawn_at')->orderBy('happened_at')->get();
        $share = static fn(string $state): float => match ($state) {
            'on' => 1.0,
            'alternate' => 0.5,
            default => 0.0,
        };
        $hours = 0.0;
        $from = $since;
        $state = $rows->first()->was ?? $now;
        foreach ($rows as $row) {
            if ($row->happened_at->gt($from)) {
                $hours += $share($state) * $from->diffInHours($row->happened_at);
                $from = $row->happened_at;
            }
            $state = $row->state;
        }

        return $hours + $share($state) * max(0.0, $from->diffInHours(Carbon::now()));
    }

    /** @return array<string, string> the state at a time of each part that was switched since, by its key */
    public static function statesAt(System $system, Carbon $at): array
    {
        // Of many systems the same is asked, whenever each was measured.
        $from = $at->min(Carbon::now()->subDays(self::ASKED_D)->startOfDay());
        /** @var Collection<int, self> $rows */
        $rows = self::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('happened_at', '>', $from)
            ->orderByDesc('happened_at')
            ->orderByDesc('id')
            ->get();

        return $rows
            ->filter(static fn(self $row): bool => $row->happened_at->gt($at))
            ->mapWithKeys(static fn(self $row): array => [$row->part_id => $row->was])
            ->all();
    }
}
