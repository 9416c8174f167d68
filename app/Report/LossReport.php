<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Bag;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\Shipment;
use App\Models\Site;
use App\Models\System;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Fish\Survival;

/** Survival and losses of a site: by shipment, by whom they came from, by system and by month. */
final readonly class LossReport
{
    private const MONTHS = 12;

    /** @return array<string, mixed> */
    public function of(Site $site): array
    {
        $shipments = $this->shipments($site);
        $sources = [];
        foreach ($shipments as $one) {
            $from = $one['from_whom'];
            $sources[$from] = ($sources[$from] ?? Survival::none())->and($one['survival']);
        }

        return [
            'months' => $this->months($site),
            'systems' => $this->systems($site),
            'sources' => array_map(
                static fn(string $from, Survival $one): array => ['from_whom' => $from, ...self::figures($one)],
                array_map(strval(...), array_keys($sources)),
                array_values($sources),
            ),
            'shipments' => array_map(
                static fn(array $one): array => [
                    'id' => $one['id'],
                    'from_whom' => $one['from_whom'],
                    'on' => $one['on'],
                    'system' => $one['system'],
                    ...self::figures($one['survival']),
                ],
                $shipments,
            ),
        ];
    }

    /** @return list<list<string|int|float|null>> every shipment, then every month, as rows of a table */
    public function rows(Site $site): array
    {
        $rows = [];
        foreach ($this->shipments($site) as $one) {
            $is = $one['survival'];
            $rows[] = [
                'shipment',
                $one['on'],
                $one['from_whom'],
                $one['system'],
                $is->came,
                $is->deadOnArrival,
                $is->diedSince,
                $is->sold,
                $is->alive,
            ];
        }
        foreach ($this->months($site) as $one) {
            $rows[] = ['month', $one['month'], '', '', null, null, $one['died'], $one['sold'], null];
        }

        return $rows;
    }

    /** @return list<array{id: string, from_whom: string, on: string, system: string, survival: Survival}> */
    private function shipments(Site $site): array
    {
        $shipments = Shipment::query()
            ->with(['bags', 'system'])
            ->where('site_id', $site->id)
            ->orderByDesc('arrived_at')
            ->get();
        $ids = Bag::query()->where('site_id', $site->id)->select('id');
        $alive = FishGroup::query()
            ->where('site_id', $site->id)
            ->whereIn('bag_id', $ids)
            ->get(['bag_id', 'count'])
            ->groupBy('bag_id');
        $left = FishEvent::query()
            ->where('site_id', $site->id)
            ->whereIn('bag_id', $ids)
            ->whereIn('kind', ['lost', 'sold'])
            ->get(['id', 'bag_id', 'kind', 'count'])
            ->groupBy('bag_id');
        $rows = [];
        foreach ($shipments as $shipment) {
            $survival = Survival::none();
            foreach ($shipment->bags as $bag) {
                $survival = $survival->and(self::ofBag($bag, $alive->get($bag->id), $left->get($bag->id)));
            }
            $rows[] = [
                'id' => $shipment->id,
                'from_whom' => $shipment->from_whom,
                'on' => $shipment->arrived_at->timezone($site->timezone)->toDateString(),
                'system' => $shipment->system->name,
                'survival' => $survival,
            ];
        }

        return $rows;
    }

    /**
     * @param  ?Collection<int, FishGroup>  $alive
     * @param  ?Collection<int, FishEvent>  $left
     */
    private static function ofBag(Bag $bag, ?Collection $alive, ?Collection $left): Survival
    {
        [$living, $died, $sold] = [0, 0, 0];
        foreach ($alive ?? [] as $group) {
            $living += $group->count;
        }
        foreach ($left ?? [] as $one) {
            $sold += $one->kind === 'sold' ? $one->count : 0;
            $died += $one->kind === 'lost' ? $one->count : 0;
        }

        return new Survival(
            $bag->count,
            $bag->dead,
            max(0, $died - $bag->dead),
            $sold,
            $bag->in_at === null ? $bag->count : $living,
        );
    }

    /** @return list<array{month: string, died: int, sold: int}> the last twelve, the newest last */
    private function months(Site $site): array
    {
        $today = Carbon::now($site->timezone)->startOfMonth();
        $months = [];
        for ($back = self::MONTHS - 1; $back >= 0; $back--) {
            $months[$today->copy()->subMonthsNoOverflow($back)->format('Y-m')] = ['died' => 0, 'sold' => 0];
        }
        foreach ($this->events($site) as $one) {
            $month = $one->happened_on->format('Y-m');
            if (isset($months[$month])) {
                $months[$month][$one->kind === 'lost' ? 'died' : 'sold'] += $one->count;
            }
        }

        return array_map(
            static fn(string $month, array $one): array => ['month' => $month, ...$one],
            array_keys($months),
            array_values($months),
        );
    }

    /** @return list<array{slug: string, name: string, died: int, sold: int, alive: int}> over the last twelve months */
    private function systems(Site $site): array
    {
        $events = $this->events($site)->groupBy('from_system_id');
        $rows = [];
        foreach (System::ofSite($site)->with('fish')->orderBy('name')->get() as $system) {
            $row = ['slug' => $system->slug, 'name' => $system->name, 'died' => 0, 'sold' => 0, 'alive' => 0];
            foreach ($events->get($system->id) ?? [] as $one) {
                $row[$one->kind === 'lost' ? 'died' : 'sold'] += $one->count;
            }
            foreach ($system->fish as $group) {
                $row['alive'] += $group->count;
            }
            $rows[] = $row;
        }

        return array_values(array_filter($rows, static fn(array $one): bool => $one['died'] + $one['alive'] > 0));
    }

    /** @return Collection<int, FishEvent> */
    private function events(Site $site): Collection
    {
        return FishEvent::query()
            ->where('site_id', $site->id)
            ->whereIn('kind', ['lost', 'sold'])
            ->where(
                'happened_on',
                '>=',
                Carbon::now()->subMonthsNoOverflow(self::MONTHS)->startOfMonth()->toDateString(),
            )
            ->get();
    }

    /** @return array<string, int|float|null> */
    private static function figures(Survival $one): array
    {
        return [
            'came' => $one->came,
            'dead_on_arrival' => $one->deadOnArrival,
            'died_since' => $one->diedSince,
            'sold' => $one->sold,
            'alive' => $one->alive,
            'survived_pct' => $one->pct(),
        ];
    }
}
