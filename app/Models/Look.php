<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Fish looked at one by one: what was seen on them, how bad, and where. Under the key of its note.
 *
 * @property ?string $fish_group_id
 * @property ?string $single_fish_id
 * @property list<array{sign: string, count: int, severity: int}> $signs
 * @property list<array{sign: string, view: string, x: float, y: float}> $marks
 * @property ?string $came_up
 * @property ?string $scrape
 * @property ?string $scrape_seen
 * @property ?float $length_cm
 * @property ?float $weight_g
 * @property Note $note
 * @property ?FishGroup $group
 * @property ?SingleFish $single
 */
final class Look extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['signs' => 'array', 'marks' => 'array', 'length_cm' => 'float', 'weight_g' => 'float'];
    }

    /** @return BelongsTo<Note, $this> */
    public function note(): BelongsTo
    {
        return $this->belongsTo(Note::class, 'id');
    }

    /** @return BelongsTo<FishGroup, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(FishGroup::class, 'fish_group_id');
    }

    /** @return BelongsTo<SingleFish, $this> */
    public function single(): BelongsTo
    {
        return $this->belongsTo(SingleFish::class, 'single_fish_id');
    }
}
