<?php

declare(strict_types=1);

namespace App\Water;

use App\Forms\Moment;
use App\Forms\TypedInputs;
use App\Http\Controller;
use App\Models\MeterReading;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** The meter in the pipe of new water, as it was read. */
final class MeterController extends Controller
{
    public function __construct(private readonly WaterReport $report) {}

    public function put(Request $request, System $system, string $id): JsonResponse
    {
        if (!MeterReading::query()->whereKey(strtoupper($id))->exists()) {
            $typed = new TypedInputs([Input::number('meter_l', 'Meter', 'L', 0, 1e12)]);
            $read = $typed->read($request->all())['meter_l'];
            $litres = is_numeric($read) ? (float) $read : 0.0;
            $at = Moment::past($request->input('at'), 'at');
            $this->fits($system, $litres, $at);
            MeterReading::query()->create([
                'id' => strtoupper($id),
                'site_id' => $system->site_id,
                'system_id' => $system->id,
                'user_id' => $this->person($request)->id,
                'litres' => $litres,
                'read_at' => $at,
            ]);
        }

        return $this->show($system);
    }

    public function remove(System $system, string $id): JsonResponse
    {
        MeterReading::query()
            ->where('system_id', $system->id)
            ->whereKey(strtoupper($id))
            ->whereNull('withdrawn_at')
            ->update(['withdrawn_at' => Carbon::now()]);

        return $this->show($system);
    }

    /** @throws BadInput where it would have run backwards: a new meter begins once the readings of the old are gone */
    private function fits(System $system, float $litres, Carbon $at): void
    {
        $last = MeterReading::latest($system, 1)[0] ?? null;
        if ($last !== null && $at->lte($last->read_at)) {
            throw BadInput::at('at', 'It was read after that.');
        }
        if ($last !== null && $litres < $last->litres) {
            throw BadInput::at(
                'meter_l',
                'It stood at ' . number_format($last->litres) . ' L before. Is it a new one, take that reading back.',
            );
        }
    }

    private function show(System $system): JsonResponse
    {
        return new JsonResponse($this->report->of($system->unsetRelations(), LatestWater::of($system), []));
    }
}
