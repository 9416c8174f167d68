<?php

declare(strict_types=1);

namespace App\Running;

use App\Models\Age;
use App\Models\AirOutlet;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Collection;

/** Everything of a system that can be switched, and how it stands. */
final readonly class RunningReport
{
    private const NEWEST = 20;

    public function __construct(private Running $running) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $standing = $this->running->standing($system, $water);
        /** @var Collection<int, Switching> $latest */
        $latest = Switching::query()
            ->with(['user', 'lentTo'])
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->orderByDesc('happened_at')
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get();

        return [
            'stands' =>
                $standing === null
                    ? null
                    : [
                        ...$standing->message()->toArray(),
                        'state' => $standing->state->value,
                        'part' => $standing->part->id,
                        'since' => $standing->since->toIso8601ZuluString(),
                        'minutes' => $standing->may->minutes,
                    ],
            'things' => [
                ...array_map(
                    fn(Pump $pump): array => $this->thing($pump->id, $pump->name, $pump->kind, $pump->state, $latest),
                    $system->pumps->all(),
                ),
                ...array_map(
                    fn(Stage $stage): array => $this->thing(
                        $stage->id,
                        $stage->name,
                        'lamp',
                        $stage->lamp_state,
                        $latest,
                    ),
                    $system->stages->filter(static fn(Stage $stage): bool => $stage->kind === 'uv')->all(),
                ),
            ],
            'borrowed' => array_map(
                static fn(Pump $pump): array => [
                    'name' => $pump->name,
                    'kind' => $pump->kind,
                    'from' => $pump->system->name,
                    'from_slug' => $pump->system->slug,
                    'circulates' => $pump->circulates(),
                ],
                $system->borrowed->loadMissing('system')->all(),
            ),
            'valves' => array_values(
                $system->lines
                    ->filter(static fn(Line $line): bool => $line->shuts())
                    ->map(
                        fn(Line $line): array => $this->thing(
                            $line->id,
                            $line->name,
                            'valve',
                            $line->valveState(),
                            $latest,
                        ),
                    )
                    ->all(),
            ),
            'outlets' => array_values(
                $system->airOutlets
                    ->filter(static fn(AirOutlet $one): bool => $one->valve)
                    ->map(
                        fn(AirOutlet $one): array => $this->thing(
                            $one->id,
                            $one->name,
                            'outlet',
                            $one->state(),
                            $latest,
                        ),
                    )
                    ->all(),
            ),
            'latest' => array_values(
                $latest
                    ->map(
                        static fn(Switching $row): array => [
                            'id' => $row->id,
                            'text' => $row->text(),
                            'age' => Age::of($row->happened_at),
                            'by' => $row->user?->name,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /**
     * @param  Collection<int, Switching>  $latest
     * @return array<string, mixed>
     */
    private function thing(string $id, string $name, string $kind, string $state, Collection $latest): array
    {
        $last = $latest->firstWhere('part_id', $id);

        return [
            'id' => $id,
            'name' => $name,
            'kind' => $kind,
            'state' => $state,
            'since' => $last === null ? null : Age::of($last->happened_at),
            'by' => $last?->user?->name,
            'reason' => $last?->reason,
            'to' => $state === 'lent' ? $last?->lentTo?->name : null,
        ];
    }
}
