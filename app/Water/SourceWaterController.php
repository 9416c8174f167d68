<?php

declare(strict_types=1);

namespace App\Water;

use App\Http\Controller;
use App\Models\WaterSource;
use App\Models\WaterTest;
use App\Shelf\ShelfReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Ironwort\Core\Judge\Reading;

/** The waters systems are filled from, and their tests. */
final class SourceWaterController extends Controller
{
    public function __construct(private readonly ShelfReport $shelf) {}

    public function put(SourceWaterRequest $request, string $id): JsonResponse
    {
        $site = $this->person($request)->site;
        $water =
            WaterSource::query()->where('site_id', $site->id)->find(strtoupper($id)) ??
            new WaterSource(['id' => strtoupper($id), 'site_id' => $site->id]);
        $water->fill($request->columns())->save();

        return new JsonResponse($this->shelf->of($site));
    }

    public function test(SourceTestRequest $request, string $water, string $id): JsonResponse
    {
        $person = $this->person($request);
        $found = WaterSource::query()->where('site_id', $person->site_id)->findOrFail(strtoupper($water));
        $typed = $request->readings();
        WaterTest::query()->firstOrCreate(
            ['id' => strtoupper($id)],
            [
                'site_id' => $person->site_id,
                'water_id' => $found->id,
                'user_id' => $person->id,
                'side' => $request->side(),
                'chloramine' => $request->boolean('chloramine'),
                'tested_on' => $request->testedOn() ?? Carbon::now($person->site->timezone)->toDateString(),
                'readings' => array_map(
                    static fn(Reading $reading): array => [
                        'typed' => $typed->rows[$reading->parameter->value]['typed'] ?? '',
                        'unit' => $typed->rows[$reading->parameter->value]['unit'] ?? null,
                        'value' => $reading->value,
                    ],
                    $typed->readings,
                ),
            ],
        );

        return new JsonResponse($this->shelf->of($this->person($request)->site));
    }

    public function remove(Request $request, string $id, RemoveSourceWater $waters): JsonResponse
    {
        $site = $this->person($request)->site;
        $waters->remove($id, $site);

        return new JsonResponse($this->shelf->of($site));
    }
}
