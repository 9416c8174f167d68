<?php

declare(strict_types=1);

namespace App\Round;

use App\Http\Controller;
use App\Maturing\FishIn;
use App\Models\Bag;
use App\Models\Dose;
use App\Models\Service;
use App\Models\ShutOff;
use App\Models\System;
use App\Models\WaterChange;
use App\Readings\LatestWater;
use App\Running\Running;
use App\State\Carried;
use App\Volumes\ShutOffTimes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Judge\OpenTimer;
use Ironwort\Core\Measure\Format;

/** What is open and must not be forgotten, for the foot of every page. */
final class TimerController extends Controller
{
    /** Ammonia of a start with fish in it is tested so often, hours. */
    private const TEST_AGAIN_H = 12;

    /** What is due later than that stands on its own page, not in the foot of every one. */
    private const AHEAD_D = 7;

    public function __invoke(
        Request $request,
        ShutOffTimes $cutOff,
        FishIn $fishIn,
        Carried $carried,
        Running $running,
    ): JsonResponse {
        $site = $this->person($request)->site;
        $ids = ShutOff::query()->where('site_id', $site->id)->whereNull('opened_at')->distinct()->pluck('system_id');
        $timers = [];
        $systems = System::ofSite($site)->with([
            'site',
            'vessels',
            'stages',
            'lines',
            'pumps',
            'borrowed',
            'airOutlets',
            'fish',
            'shutOffs',
        ]);
        $systems->whereIn('id', $ids);
        foreach ($systems->get() as $system) {
            foreach ($cutOff->times($system, LatestWater::of($system)) as $time) {
                $timers[] = [
                    'kind' => 'shut_off',
                    'id' => $time->vesselId,
                    'planned' => null,
                    'by' => null,
                    'system' => $system->slug,
                    'system_name' => $system->name,
                    'says' => $time->name,
                    'since' => $time->since->toIso8601ZuluString(),
                    'minutes' => $time->minutes(),
                ];
            }
        }

        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()
            ->with('system')
            ->where('site_id', $site->id)
            ->where('pump_off', true)
            ->whereNull('flow_seen_at')
            ->orderBy('changed_at')
            ->limit(50)
            ->get();
        foreach ($changes as $change) {
            $timers[] = [
                'kind' => 'pump_off',
                'id' => $change->id,
                'system' => $change->system->slug,
                'system_name' => $change->system->name,
                'says' => 'Pump',
                'since' => $change->changed_at->toIso8601ZuluString(),
                'minutes' => $change->danger_min,
                'planned' => $change->planned_min,
                'by' => $change->danger_by,
            ];
        }

        /** @var Collection<int, Dose> $baths */
        $baths = Dose::query()
            ->with('system')
            ->where('site_id', $site->id)
            ->whereNotNull('minutes')
            ->whereNull('ended_at')
            ->whereNull('withdrawn_at')
            ->orderBy('given_at')
            ->limit(50)
            ->get();
        foreach ($baths as $bath) {
            $timers[] = [
                'kind' => 'bath',
                'id' => $bath->id,
                'system' => $bath->system->slug,
                'system_name' => $bath->system->name,
                'says' => $bath->name,
                'since' => $bath->given_at->toIso8601ZuluString(),
                'minutes' => $bath->minutes,
                'planned' => null,
                'by' => null,
            ];
        }

        /** @var Collection<int, Bag> $drips */
        $drips = Bag::query()
            ->with('system')
            ->where('site_id', $site->id)
            ->whereNotNull('drip_from')
            ->whereNull('in_at')
            ->orderBy('drip_from')
            ->limit(50)
            ->get();
        foreach ($drips as $drip) {
            $timers[] = [
                'kind' => 'drip',
                'id' => $drip->id,
                'system' => $drip->system->slug,
                'system_name' => $drip->system->name,
                'says' => $drip->name,
                'since' => ($drip->drip_from ?? Carbon::now())->toIso8601ZuluString(),
                'minutes' => null,
                'planned' => $drip->drip_min,
                'by' => null,
            ];
        }

        /** @var Collection<int, Service> $runs */
        $runs = Service::query()
            ->with('system')
            ->where('site_id', $site->id)
            ->whereNull('ended_at')
            ->whereNull('withdrawn_at')
            ->orderBy('started_at')
            ->limit(50)
            ->get();
        foreach ($runs as $run) {
            $timers[] = [
                'kind' => 'service',
                'id' => $run->id,
                'system' => $run->system->slug,
                'system_name' => $run->system->name,
                'says' => "{$run->name}: " . lcfirst($run->job_name),
                'since' => $run->started_at->toIso8601ZuluString(),
                'minutes' => null,
                'planned' => $run->planned_min,
                'by' => null,
            ];
        }
        $planned = $runs->where('way', 'stopped')->pluck('planned_min', 'system_id');

        $awake = System::ofSite($site)
            ->whereNull('asleep_since')
            ->with(['site.schools', 'stages', 'pumps', 'borrowed', 'lines', 'fish'])
            ->get();
        System::lookAtTogether($awake);
        $waters = LatestWater::ofAll($awake);
        $versions = Carried::versions($awake);
        $carried->ahead($awake, $waters, $versions);
        foreach ($awake as $system) {
            $stands = Running::circulating($system)->isEmpty()
                ? null
                : $running->standing($system, $waters[$system->id]);
            if ($stands !== null) {
                $timers[] = [
                    'kind' => 'stands',
                    'id' => $stands->part->id,
                    'system' => $system->slug,
                    'system_name' => $system->name,
                    'says' => $stands->part->name,
                    'since' => $stands->since->toIso8601ZuluString(),
                    'minutes' => $stands->may->minutes,
                    // A service that stopped it says how long it was to take.
                    'planned' => $planned[$system->id] ?? null,
                    'by' => $stands->may->decides,
                ];
            }
            $water = $waters[$system->id];
            $balance = $fishIn->may($system) ? $carried->balance($system, $water, $versions[$system->id] ?? '') : null;
            if ($balance === null) {
                continue;
            }
            $start = $fishIn->of($system, $water, $balance['load'], $balance['takes']);
            $minutes = $start?->minutes();
            if ($start !== null && $minutes !== null && $minutes <= 1440 * self::AHEAD_D) {
                $timers[] = [
                    'kind' => 'fish_in',
                    'id' => $system->id,
                    'system' => $system->slug,
                    'system_name' => $system->name,
                    'says' => 'Change ' . Format::number((float) $start->changeL(), 3) . ' L',
                    'since' => Carbon::now()->toIso8601ZuluString(),
                    // One acts when the trigger is reached; by the test after it, it is past waiting.
                    'minutes' => $minutes + 60 * self::TEST_AGAIN_H,
                    'planned' => $minutes,
                    'by' => 'ammonia',
                ];
            }
        }

        return new JsonResponse(
            array_map(static function (array $timer): array {
                $minutes = $timer['minutes'];
                $planned = $timer['planned'];
                $open = OpenTimer::of(
                    is_numeric($minutes) ? (float) $minutes : null,
                    is_numeric($planned) ? (float) $planned : null,
                );

                return [...$timer, 'act_at' => $open->actAtMin, 'emergency_at' => $open->emergencyAtMin];
            }, $timers),
        );
    }
}
