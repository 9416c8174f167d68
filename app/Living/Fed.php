<?php

declare(strict_types=1);

namespace App\Living;

use App\Fish\FeedPlan;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\System;
use Illuminate\Support\Collection;

/**
 * What the fish of a system were fed on a day by its plans: as set, or by the ration of those that were there.
 *
 * Before the first plan they are taken to have been fed as by it, each kilogram alike.
 */
final class Fed
{
    /** @var array<string, float> g/d of one fish by plan, group and temperature: the same week after week */
    private array $known = [];

    /** @param  Collection<int, FeedFigure>  $plans  the oldest first */
    public function __construct(
        private readonly System $system,
        private readonly FeedPlan $feeds,
        private readonly Collection $plans,
        private readonly Stock $stock,
    ) {}

    /** The plan that held on a day, or the first there ever was. */
    public function plan(string $day): ?FeedFigure
    {
        return $this->plans->last(static fn(FeedFigure $one): bool => $one->since->toDateString() <= $day) ??
            $this->plans->first();
    }

    /** g/d as a mean of the week. */
    public function on(string $day, float $tempC): float
    {
        $plan = $this->plan($day);
        $kg = $this->stock->kgOn($day);
        if ($plan === null || $kg <= 0) {
            return 0.0;
        }
        if ($plan->by_ration) {
            return array_sum(
                array_map(
                    fn(array $there): float => $there['count'] === 0
                        ? 0.0
                        : $there['count'] * $this->ration($plan, $there['group'], round($tempC, 1)),
                    $this->stock->on($day),
                ),
            );
        }
        $feed = ($plan->feed_g_d * $plan->days_a_week) / 7;
        if ($plan->since->toDateString() <= $day) {
            return $feed;
        }
        $then = $this->stock->kgOn($plan->since->toDateString());

        return $then > 0 ? ($feed * $kg) / $then : 0.0;
    }

    private function ration(FeedFigure $plan, FishGroup $group, float $tempC): float
    {
        return $this->known["{$plan->id} {$group->id} {$tempC}"] ??= $this->feeds->perFish(
            $this->system,
            $plan,
            $group,
            $tempC,
        );
    }
}
