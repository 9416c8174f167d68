<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One change of a build, as it can be taken back: every part it touched, before and after.
 *
 * @property string $says
 * @property list<array{table: string, id: string, before: ?array<string, mixed>,
 *     after: ?array<string, mixed>}> $parts
 * @property ?Carbon $undone_at
 * @property Carbon $created_at
 * @property ?User $user
 */
final class BuildChange extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['parts' => 'array', 'undone_at' => 'datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** The newest of a system that was not taken back. */
    public static function newest(System $system): ?self
    {
        return self::query()
            ->with('user')
            ->where('system_id', $system->id)
            ->whereNull('undone_at')
            ->orderByDesc('id')
            ->first();
    }
}
