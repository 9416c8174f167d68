<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\ShutOff;
use App\Models\System;
use App\Reports\CutOff;
use App\Reports\LatestWater;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What is open and must not be forgotten, for the foot of every page. */
final class TimerController extends Controller
{
    public function __invoke(Request $request, CutOff $cutOff): JsonResponse
    {
        $site = $this->person($request)->site;
        $ids = ShutOff::query()->where('site_id', $site->id)->whereNull('opened_at')->distinct()->pluck('system_id');
        $timers = [];
        $systems = System::ofSite($site)->with(['site', 'vessels', 'lines', 'pumps', 'fish', 'shutOffs']);
        $systems->whereIn('id', $ids);
        foreach ($systems->get() as $system) {
            foreach ($cutOff->times($system, LatestWater::of($system)) as $time) {
                $timers[] = ['kind' => 'shut_off', 'system' => $system->slug, 'system_name' => $system->name, 'name' => $time['name'], 'since' => $time['since'], 'minutes' => $time['minutes']];
            }
        }

        return new JsonResponse($timers);
    }
}
