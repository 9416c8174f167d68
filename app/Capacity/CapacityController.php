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
        $typed = self::conditions($request);

        return new JsonResponse([
            'slug' => $system->slug,
            'name' => $system->name,
            ...$report->of($system, LatestWater::of($system), $typed)->toArray(),
        ]);
    }

    /** @return array<string, string> conditions and what-ifs as typed */
    public static function conditions(Request $request): array
    {
        $typed = [];
        foreach ([...self::CONDITIONS, ...CapacityWhatIf::KEYS] as $key) {
            $value = $request->input($key);
            if ($request->has($key)) {
                $typed[$key] = is_string($value) ? mb_substr($value, 0, 40) : '';
            }
        }

        return $typed;
    }
}
