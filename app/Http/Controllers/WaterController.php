<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BookChange;
use App\Actions\TypedInputs;
use App\Models\System;
use App\Models\WaterChange;
use App\Models\WaterSource;
use App\Reports\LatestWater;
use App\Reports\WaterReport;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Gate;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Input;

/** Water to be changed, and water that was. */
final class WaterController extends Controller
{
    public function __construct(private readonly WaterReport $report)
    {
    }

    public function show(Request $request, System $system): JsonResponse
    {
        return new JsonResponse($this->report->of($system->load(['site', 'stages', 'vessels', 'ownLimits']), LatestWater::of($system), (array) $request->query()));
    }

    /** Books a change or a top-up by litres or percent; the same key again changes nothing. */
    public function book(Request $request, System $system, string $id, BookChange $changes): JsonResponse
    {
        Gate::authorize('write');
        $values = (new TypedInputs([Input::choice('kind', 'What it was', WaterChange::KINDS), Input::number('change_l', 'Litres', 'L', 0.1, 1e8)->optional(), Input::number('change_pct', 'Share', '%', 0.01, 100)->insteadOf('change_l')]))->read($request->all());
        $volume = $changes->volume($system);
        $litres = is_numeric($values['change_l'] ?? null) ? (float) $values['change_l'] : (is_numeric($values['change_pct'] ?? null) ? (float) $values['change_pct'] / 100 * $volume : throw BadInput::at('change_l', 'Say how much.'));
        $water = $request->input('water');
        if (is_string($water) && $water !== '' && ! WaterSource::query()->where('site_id', $system->site_id)->whereKey($water)->exists()) {
            throw BadInput::at('water', 'There is no such water.');
        }
        $changes->book($id, $system, $this->person($request), Carbon::now(), is_string($values['kind']) ? $values['kind'] : 'batch', $litres, ['water_id' => is_string($water) && $water !== '' ? $water : null]);

        return $this->show($request, $system);
    }

    /** Takes a booked change back; it stays in the book, unseen. */
    public function withdraw(Request $request, System $system, string $id): JsonResponse
    {
        Gate::authorize('write');
        WaterChange::query()->where('system_id', $system->id)->whereKey(strtoupper($id))->whereNull('withdrawn_at')->update(['withdrawn_at' => now()]);

        return $this->show($request, $system);
    }
}
