<?php

declare(strict_types=1);

namespace App\Book;

use App\Models\RoundMark;
use App\Models\System;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;

/** Rounds that were finished, as the book of one system tells them. */
final readonly class RoundEntries
{
    /** @return Collection<int, BookEntry> */
    public static function before(System $system, Carbon $before, int $most): Collection
    {
        $query = RoundMark::query()
            ->with(['round.user', 'round.passer'])
            ->whereHas('round', static fn($round) => $round->whereNotNull('ended_at'));
        $query->where('system_id', $system->id)->where('at', '<', $before)->orderByDesc('at');

        return $query
            ->limit($most)
            ->get()
            ->toBase()
            ->map(
                static fn(RoundMark $one): BookEntry => new BookEntry(
                    $one->id,
                    'rounds',
                    $one->at,
                    $one->round->user?->name,
                    implode(
                        '. ',
                        array_filter([
                            $one->what === 'skipped' ? "Skipped on the round: {$one->why}" : 'Looked at on the round',
                            $one->round->passer === null ? '' : "Handed over by {$one->round->passer->name}",
                            $one->round->note ?? '',
                        ]),
                    ),
                ),
            );
    }
}
