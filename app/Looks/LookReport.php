<?php

declare(strict_types=1);

namespace App\Looks;

use App\Models\Age;
use App\Models\FishGroup;
use App\Models\Look;
use App\Models\SingleFish;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\MonthAgo;
use Illuminate\Support\Collection;
use Ironwort\Core\Fish\LookChange;
use Ironwort\Core\Incident\Sign;
use Ironwort\Core\Judge\Rounds;

/** Who may be looked at and is due, and what was seen on them, each look beside the one before of the same fish. */
final readonly class LookReport
{
    private const NEWEST = 30;

    public function __construct(private LooksDue $due) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $some = new Collection([$system]);
        $due = $this->due->of($some, [$system->id => $water], MonthAgo::of($some))[$system->id] ?? null;
        $groups = $system->fish->filter(static fn(FishGroup $one): bool => $one->count > 0);
        $singles = SingleFish::query()->where('system_id', $system->id)->whereNull('gone')->orderBy('name')->get();

        return [
            'due' => $due?->toArray(),
            'groups' => array_values(
                $groups
                    ->map(
                        static fn(FishGroup $one): array => [
                            'id' => $one->id,
                            'name' => $one->name,
                            'count' => $one->count,
                        ],
                    )
                    ->all(),
            ),
            'singles' => array_values(
                $singles
                    ->map(
                        static fn(SingleFish $one): array => [
                            'id' => $one->id,
                            'name' => $one->name,
                            'group' => $one->fish_group_id,
                        ],
                    )
                    ->all(),
            ),
            'signs' => array_map(
                static fn(string $sign): array => ['sign' => $sign, 'placed' => Rounds::placed($sign)],
                Rounds::signs(),
            ),
            'looks' => $this->looks($system),
        ];
    }

    /** @return list<array<string, mixed>> the newest first */
    private function looks(System $system): array
    {
        $looks = Look::query()
            ->with(['note.user', 'note.photo:id', 'group', 'single'])
            ->where('system_id', $system->id)
            ->whereHas('note', static fn($note) => $note->whereNull('withdrawn_at'))
            ->orderByDesc('id')
            ->limit(self::NEWEST)
            ->get()
            ->sortByDesc(static fn(Look $look): string => $look->note->taken_at->toIso8601String())
            ->values();

        return array_values(
            $looks->map(fn(Look $look, int $i): array => $this->look($look, $looks->slice($i + 1)))->all(),
        );
    }

    /**
     * @param  Collection<int, Look>  $earlier  the newest first
     * @return array<string, mixed>
     */
    private function look(Look $look, Collection $earlier): array
    {
        $before = $earlier->first(
            static fn(Look $one): bool => $one->single_fish_id === $look->single_fish_id &&
                $one->fish_group_id === $look->fish_group_id,
        );
        $change = $before === null ? null : LookChange::between($before->signs, $look->signs);
        $leads = array_filter(
            array_map(static fn(array $one): ?string => Sign::ofSeen($one['sign'])?->value, $look->signs),
        );

        return [
            'id' => $look->id,
            'on' => $look->note->taken_at->toIso8601ZuluString(),
            'age' => Age::of($look->note->taken_at),
            'whom' => $look->single->name ?? ($look->group->name ?? null),
            'group' => $look->fish_group_id,
            'single' => $look->single_fish_id,
            'signs' => $look->signs,
            'marks' => $look->marks,
            'came_up' => $look->came_up,
            'scrape' => $look->scrape,
            'scrape_seen' => $look->scrape_seen,
            'length_cm' => $look->length_cm,
            'weight_g' => $look->weight_g,
            'words' => $look->note->words,
            'photo' => $look->note->photo !== null,
            'by' => $look->note->user?->name,
            'trouble' => array_values(array_unique($leads)),
            'change' =>
                $change === null
                    ? null
                    : [
                        'gone' => $change->gone,
                        'new' => $change->new,
                        'worse' => $change->worse,
                        'better' => $change->better,
                        'same' => $change->same,
                    ],
        ];
    }
}
