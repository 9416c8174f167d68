<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Age;
use App\Models\Feed;
use App\Models\FishEvent;
use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Fish\DensityCalculator;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** Who lives in a system: groups with their growth, how densely, what came and went, what they are fed and were. */
final readonly class FishReport
{
    private const NEWEST = 20;

    public function __construct(
        private LoopSums $systems,
        private VolumeReport $volumes,
        private FeedPlan $feed,
        private LimitsInForce $limits,
        private Registry $registry,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $biomass = $this->systems->biomass($system);
        $volume = $this->volumes->inUse($system)->value;
        $limit = $this->limits->following($system)->in('density')->figure($system->kind);
        $plan = $system->feed();
        $temperature = $water->valueOrAssumed(Parameter::Temperature);
        $events = FishEvent::query()
            ->with(['from', 'to', 'user'])
            ->orderByDesc('happened_on')
            ->orderByDesc('id');
        $events->where(
            static fn($query) => $query->where('from_system_id', $system->id)->orWhere('to_system_id', $system->id),
        );
        /** @var Collection<int, FishEvent> $newest */
        $newest = $events->limit(self::NEWEST)->get();
        $feeds = Feed::query()->where('system_id', $system->id)->with('user');
        $feeds->whereNull('withdrawn_at')->orderByDesc('fed_at');
        /** @var Collection<int, Feed> $given */
        $given = $feeds->limit(self::NEWEST)->get();
        $week = $given->filter(static fn(Feed $feed): bool => $feed->fed_at->isAfter(Carbon::now()->subDays(7)));

        return [
            'biomass' => $biomass->toArray(),
            'density_limit_kg_m3' => $limit,
            'density_kg_m3' => $volume > 0 ? DensityCalculator::kgM3($biomass->value, $volume) : null,
            'density_state' =>
                $volume > 0
                    ? DensityCalculator::state(DensityCalculator::kgM3($biomass->value, $volume), $limit)->value
                    : null,
            'by_flow' => $this->byFlow($system, $biomass->value, $volume)?->toArray(),
            'flow_alone' => DensityCalculator::FLOW_ALONE,
            'groups' => array_values(
                $system->fish
                    ->load('measures')
                    ->map(fn(FishGroup $group): array => $this->group($group, FishForm::today($system)))
                    ->all(),
            ),
            'bays' => $this->bays($system, $limit),
            'events' => array_values(
                $newest
                    ->map(
                        static fn(FishEvent $event): array => [
                            'id' => $event->id,
                            'kind' => $event->kind,
                            'group' => $event->group_name,
                            'count' => $event->count,
                            'on' => $event->happened_on->toDateString(),
                            'reason' => $event->reason,
                            'from' => $event->from->name,
                            'to' => $event->to?->name,
                            'by' => $event->user?->name,
                            'came' => $event->to_system_id === $system->id,
                        ],
                    )
                    ->all(),
            ),
            'plan' =>
                $plan === null
                    ? null
                    : [
                        'feed_g_d' => $plan->feed_g_d,
                        'protein_pct' => $plan->protein_pct,
                        'product' => $plan->product,
                        'digestibility_pct' => $plan->digestibility_pct,
                        'moisture_pct' => $plan->moisture_pct,
                        'uneaten_pct' => $plan->uneaten_pct,
                        'carbon_g_d' => $plan->carbon_g_d,
                        'fertiliser_g_week' => $plan->fertiliser_g_week,
                        'fertiliser_n_pct' => $plan->fertiliser_n_pct,
                        'by_ration' => $plan->by_ration,
                        'meals' => $plan->meals,
                        'days_a_week' => $plan->days_a_week,
                        'since' => $plan->since->toDateString(),
                        'mean_g_d' => $this->feed->perDay($system, $plan, $temperature),
                    ],
            'kind' => $this->feed->kind($system, $temperature),
            'ration' => $system->fish->isEmpty() ? null : $this->feed->ration($system, $temperature)->toArray(),
            'feeds' => array_values(
                $given
                    ->map(
                        static fn(Feed $feed): array => [
                            'id' => $feed->id,
                            'age' => Age::of($feed->fed_at),
                            'feed_g' => $feed->feed_g,
                            'came_up' => $feed->came_up,
                            'left_some' => $feed->left_some,
                            'by' => $feed->user?->name,
                        ],
                    )
                    ->all(),
            ),
            'week_g' => $week->sum(static fn(Feed $feed): float => $feed->feed_g),
        ];
    }

    /** @return array<string, mixed> */
    private function group(FishGroup $group, string $today): array
    {
        $measures = array_values(
            $group->measures
                ->map(
                    static fn(FishMeasure $measure): array => [
                        'on' => $measure->measured_on->toDateString(),
                        'length_cm' => $measure->length_cm,
                        'weight_g' => $measure->weight_g,
                    ],
                )
                ->all(),
        );
        $long = array_values(
            array_filter($measures, static fn(array $measure): bool => $measure['length_cm'] !== null),
        );
        $days =
            count($long) < 2
                ? 0
                : Carbon::parse($long[0]['on'])->diffInDays(Carbon::parse($long[count($long) - 1]['on']));

        return [
            'id' => $group->id,
            'version' => $group->version(),
            'name' => $group->name,
            'count' => $group->count,
            'length_cm' => $group->length_cm,
            'weight_g' => $group->weight_g,
            'condition' => $group->condition,
            'vessel_id' => $group->vessel_id,
            'arrived_on' => $group->arrived_on?->toDateString(),
            'days_here' =>
                $group->arrived_on === null ? null : (int) $group->arrived_on->diffInDays(Carbon::parse($today)),
            'weight' => $this->systems->group($group)->toArray(),
            'measures' => $measures,
            'grows_cm_month' =>
                $days >= 14 ? (30 * ($long[count($long) - 1]['length_cm'] - $long[0]['length_cm'])) / $days : null,
        ];
    }

    /** Fish by the water that passes them; null where nothing is known to. */
    private function byFlow(System $system, float $kg, float $volume): ?Figure
    {
        $flow = $system->throughput() * $system->flowShare();
        if ($flow <= 0 || $kg <= 0 || $volume <= 0) {
            return null;
        }
        $input = ['biomass_kg' => $kg, 'volume_l' => $volume, 'flow_l_h' => $flow];
        $found = $this->registry->run('fish.density', $input);

        return new Figure(
            'Fish by flow',
            $found->number('kg_per_m3_h'),
            'kg per m³/h',
            'fish.density',
            'kg_per_m3_h',
            $input,
            [new Origin('flow_l_h', 'Flow', Format::number($flow, 5) . ' L/h', 'build', 'through the filter now')],
        );
    }

    /** @return list<array{name: string, kg: float, kg_m3: float, state: string}> each bay that groups name */
    private function bays(System $system, float $limit): array
    {
        $rows = [];
        foreach ($system->vessels as $vessel) {
            $kg = $system->fish
                ->filter(static fn(FishGroup $group): bool => $group->vessel_id === $vessel->id)
                ->sum(fn(FishGroup $group): float => $this->systems->group($group)->value);
            $volume = $this->volume($vessel);
            if ($kg > 0 && $volume > 0) {
                $dense = DensityCalculator::kgM3($kg, $volume);
                $rows[] = [
                    'name' => $vessel->name,
                    'kg' => $kg,
                    'kg_m3' => $dense,
                    'state' => DensityCalculator::state($dense, $limit)->value,
                ];
            }
        }

        return $rows;
    }

    private function volume(Vessel $vessel): float
    {
        return $this->systems->vessel($vessel)->value;
    }
}
