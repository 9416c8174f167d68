<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * What a keeper saw, from a short list and in words.
 *
 * @property Carbon $taken_at
 * @property string $words
 * @property list<string> $seen
 * @property ?Carbon $withdrawn_at
 * @property ?User $user
 */
final class Note extends Part
{
    /** What is often seen, as it is written in the book. */
    public const SEEN = [
        'flashing',
        'gasping at the surface',
        'at the returns',
        'clamped fins',
        'hanging',
        'lying down',
        'off their food',
        'fed well',
        'ulcer',
        'cottony growth',
        'lost balance',
        'spawning',
        'green water',
        'cloudy water',
        'clear water',
        'foam',
        'smell',
        'string algae',
        'brown water',
        'leaves',
    ];

    /** Of these, what is wrong with fish and is looked for again. */
    public const AILING = [
        'flashing',
        'gasping at the surface',
        'at the returns',
        'clamped fins',
        'hanging',
        'lying down',
        'off their food',
        'ulcer',
        'cottony growth',
        'lost balance',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['taken_at' => 'datetime', 'seen' => 'array', 'withdrawn_at' => 'datetime'];
    }

    /** @return HasOne<Photo, $this> */
    public function photo(): HasOne
    {
        return $this->hasOne(Photo::class, 'id');
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
