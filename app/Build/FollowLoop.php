<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;

/** Stages whose flow nobody typed have the flow that the loop gives them, anew whenever the build changes. */
final readonly class FollowLoop
{
    public function __construct(private PlumbingReport $plumbing, private AdoptSolvedFlows $flows) {}

    public function follow(System $system): void
    {
        $ids = $system->stages
            ->filter(static fn(Stage $stage): bool => $stage->flow_of_loop)
            ->map(static fn(Stage $stage): string => $stage->id)
            ->all();
        if ($ids === []) {
            return;
        }
        $solved = $this->plumbing->stageFlows($system, LatestWater::of($system));
        $this->flows->adopt(
            $system,
            array_values(array_filter($solved, static fn(array $one): bool => in_array($one['id'], $ids, true))),
        );
    }
}
