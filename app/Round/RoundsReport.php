<?php

declare(strict_types=1);

namespace App\Round;

use App\Models\Role;
use App\Models\Round;
use App\Models\RoundMark;
use App\Models\System;
use App\Models\User;

/** The round somebody walks now, and those that were finished. */
final readonly class RoundsReport
{
    private const NEWEST = 20;

    public function __construct(private RoundWork $work) {}

    /** @return array<string, mixed> */
    public function of(User $person): array
    {
        $open = Round::query()
            ->with(['marks.system', 'passer', 'user'])
            ->where('site_id', $person->site_id)
            ->whereNull('ended_at')
            ->orderBy('began_at')
            ->get();
        $mine = $open->firstWhere('user_id', $person->id);

        return [
            'mine' => $mine === null ? null : $this->open($mine),
            'others' => array_values(
                $open
                    ->reject(static fn(Round $one): bool => $one->user_id === $person->id)
                    ->map(
                        static fn(Round $one): array => [
                            'by' => $one->user->name ?? 'somebody',
                            'began_at' => $one->began_at->toIso8601ZuluString(),
                        ],
                    )
                    ->all(),
            ),
            'people' => array_values(
                User::query()
                    ->where('site_id', $person->site_id)
                    ->whereKeyNot($person->id)
                    ->where('role', '<>', Role::Reader)
                    ->orderBy('name')
                    ->get()
                    ->map(static fn(User $one): array => ['id' => $one->id, 'name' => $one->name])
                    ->all(),
            ),
            'since' => Round::lastOf($person)?->toIso8601ZuluString(),
            'before' => $this->before($person),
        ];
    }

    /** @return array<string, mixed> */
    private function open(Round $round): array
    {
        return [
            'id' => $round->id,
            'began_at' => $round->began_at->toIso8601ZuluString(),
            'passed_by' => $round->passer?->name,
            'passed_note' => $round->passed_note,
            'looked' => array_values(
                System::query()->whereIn('id', array_keys($this->work->looked($round)))->pluck('slug')->all(),
            ),
            'skipped' => self::skipped($round),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function before(User $person): array
    {
        return array_values(
            Round::query()
                ->with(['marks.system', 'user', 'passer'])
                ->where('site_id', $person->site_id)
                ->whereNotNull('ended_at')
                ->orderByDesc('ended_at')
                ->limit(self::NEWEST)
                ->get()
                ->map(
                    static fn(Round $one): array => [
                        'id' => $one->id,
                        'by' => $one->user->name ?? 'somebody',
                        'passed_by' => $one->passer?->name,
                        'began_at' => $one->began_at->toIso8601ZuluString(),
                        'ended_at' => $one->ended_at?->toIso8601ZuluString(),
                        'looked' => $one->marks->where('what', 'looked')->count(),
                        'skipped' => self::skipped($one),
                        'note' => $one->note,
                    ],
                )
                ->all(),
        );
    }

    /** @return list<array{slug: string, name: string, why: ?string}> */
    private static function skipped(Round $round): array
    {
        return array_values(
            $round->marks
                ->where('what', 'skipped')
                ->map(
                    static fn(RoundMark $one): array => [
                        'slug' => $one->system->slug,
                        'name' => $one->system->name,
                        'why' => $one->why,
                    ],
                )
                ->all(),
        );
    }
}
