<?php

declare(strict_types=1);

namespace App\Growth;

use App\Capacity\CapacityReport;
use App\Fish\FeedPlan;
use App\Forms\TypedFields;
use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Judge\Parameter;

/** Fish in some weeks, and what they are fed until then. */
final class GrowthController extends Controller
{
    public function __invoke(
        FeedsRequest $request,
        System $system,
        AheadReport $ahead,
        CapacityReport $capacity,
        FeedPlan $feeding,
    ): JsonResponse {
        $system->unsetRelations()->load('site');
        $water = LatestWater::of($system);
        $typed = new TypedFields($this->typed($request));
        $weeks = $request->weeks($typed);
        $plan = $system->feed();
        $grams =
            $plan === null ? 0.0 : $feeding->perDay($system, $plan, $water->valueOrAssumed(Parameter::Temperature));
        $takes = $capacity->of($system, $water)->capacity?->value;
        $feeds = [];
        foreach (['a', 'b'] as $which) {
            $one = $request->feed($typed, $which, $plan);
            $feeds[$which] =
                $one === null
                    ? null
                    : [
                        'protein_pct' => $one['protein'],
                        'conversion' => $one['conversion'],
                        'nitrogen_g_d' => ($one['feed']->nitrogenGKg * $grams) / 1000,
                        'solids_g_d' => ($one['feed']->solidsGKg * $grams) / 1000,
                        'share_pct' =>
                            $takes === null || $takes <= 0
                                ? null
                                : (($one['feed']->nitrogenGKg * $grams) / 1000 / $takes) * 100,
                        'nitrogen_g_kg_growth' => $one['feed']->nitrogenGKgGrowth,
                        'cost_kg_growth' => $one['feed']->costPerKgGrowth,
                    ];
        }

        return new JsonResponse([
            'ahead' => $ahead->of($system, $water, $weeks),
            'feed_g_d' => $grams,
            'feeds' => $feeds,
            'errors' => (object) $typed->errors,
        ]);
    }
}
