<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Http\Controller;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Load against capacity, in today's water or in water typed on the page. */
final class CapacityController extends Controller
{
    public const CONDITIONS = ['temp_c', 'ph', 'do_mg_l', 'alkalinity_mg_l', 'tan_mg_l', 'feed_g_d', 'protein_pct'];

    public function __invoke(Request $request, System $system, CapacityReport $report): JsonResponse
    {
        $system->unsetRelations();
        $typed = array_map(
            static fn(mixed $value): string => is_string($value) ? mb_substr($value, 0, 40) : '',
            $request->only([...self::CONDITIONS, ...CapacityWhatIf::KEYS]),
        );

        return new JsonResponse([
            'slug' => $system->slug,
            'name' => $system->name,
            ...$report->of($system, LatestWater::of($system), $typed),
        ]);
    }
}
