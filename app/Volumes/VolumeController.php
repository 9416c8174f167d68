<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Http\Controller;
use App\Models\System;
use App\Models\VolumeChoice;
use App\Models\VolumeMeasure;
use Illuminate\Http\JsonResponse;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;

/** The volume of a system by meter and by salt beside its geometry, and choosing between them. */
final class VolumeController extends Controller
{
    public function __construct(private readonly VolumeReport $report) {}

    public function show(System $system): JsonResponse
    {
        return $this->answer($system);
    }

    public function put(VolumeMeasureRequest $request, System $system, string $id, Registry $registry): JsonResponse
    {
        $input = $request->reading($registry);
        $result = $registry->run($request->calculator(), $input);
        $id = strtoupper($id);
        VolumeMeasure::query()->firstOrCreate(
            ['id' => $id],
            [
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
                'method' => $request->measuredBy(),
                'input' => $input,
                'volume_l' => $result->number('volume_l'),
                'low_l' => $result->number('low_l'),
                'high_l' => $result->number('high_l'),
            ],
        );

        return $this->answer($system);
    }

    /** Doses go by this figure from now on; what they went by before stays in the book. */
    public function choose(VolumeChoiceRequest $request, System $system, LoopSums $systems): JsonResponse
    {
        $measure = $request->measure() === null ? null : VolumeMeasure::query()->find($request->measure());
        $volume = $measure === null ? $systems->volume($system->unsetRelations())->value : $measure->volume_l;
        if ($volume <= 0) {
            throw BadInput::at('measure', 'No vessel is described yet. Add one on Build.');
        }
        VolumeChoice::query()->create([
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $this->person($request)->id,
            'measure_id' => $measure?->id,
            'volume_l' => $volume,
        ]);

        return $this->answer($system);
    }

    private function answer(System $system): JsonResponse
    {
        return new JsonResponse($this->report->of($system->unsetRelations()));
    }
}
