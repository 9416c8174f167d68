<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\AirOutlet;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Switching;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Aeration\Venturi;

/** Everything that brings oxygen into a system: air, circulators that break the surface, returns that fall, showers. */
final readonly class Aerators
{
    /**
     * @param  ?Carbon  $measured  when oxygen was: what was switched since says how it ran then
     * @param  ?AirOutlet  $divert  to which all air of its pump is led, as for the wash of a bed
     * @return list<array<string, mixed>> what aerates the system by its build, as calculators take it
     */
    public static function of(System $system, ?Carbon $measured = null, ?AirOutlet $divert = null): array
    {
        $ran = $measured === null ? [] : Switching::statesAt($system, $measured);
        $then = static function (Pump $pump) use ($ran, $system, $measured): array {
            if ($pump->system_id !== $system->id) {
                $lent = Switching::latest($pump->id)?->happened_at;

                return $measured !== null && $lent?->gt($measured) === true ? ['ran' => 'no'] : [];
            }
            $state = $ran[$pump->id] ?? null;

            return $state === null
                ? []
                : ['ran' => in_array($state, ['on', 'alternate'], true) ? ($pump->by_day ? 'day' : 'yes') : 'no'];
        };
        $devices = [];
        foreach ($system->devices() as $pump) {
            $on = !$pump->runsFor($system) ? 'no' : ($pump->by_day ? 'day' : 'yes');
            // What is lent moves no water here: it has no place in this loop.
            $aerates = $pump->kind === 'air' || ($pump->kind === 'airlift' && $pump->system_id === $system->id);
            // What is led to a stage is not there for the fish.
            $split = $pump->system_id === $system->id ? AirOutlet::split($system, $pump) : null;
            $air = $split?->toFish() ?? (float) $pump->air_l_min;
            if ($aerates && ($air > 0 || $split === null)) {
                $devices[] = [
                    'kind' => $pump->diffuser ?? 'stone',
                    'name' => $pump->name,
                    'air_l_min' => $air,
                    'depth_m' => $pump->depth_m ?? ($pump->submergence_m ?? 0.7),
                    'on' => $on,
                    ...$then($pump),
                    // While it is diverted it gives nothing here that it gave when oxygen was measured.
                    ...$divert?->pump_id === $pump->id ? ['on' => 'no', 'ran' => $then($pump)['ran'] ?? $on] : [],
                ];
            }
            if ($pump->kind === 'circulator' && $pump->at_surface) {
                $devices[] = [
                    'kind' => 'jet',
                    'name' => $pump->name,
                    'power_w' => $pump->power_w,
                    'on' => $on,
                    ...$then($pump),
                ];
            }
        }
        $flows = $system->flowShare();
        $runs = match (true) {
            $flows <= 0 => 'no',
            !$system->pumps->contains(
                static fn(Pump $pump): bool => $pump->circulates() && $pump->running && !$pump->by_day,
            ) && $system->pumps->contains(static fn(Pump $pump): bool => $pump->circulates())
                => 'day',
            default => 'yes',
        };
        $returns = $system->lines->filter(
            static fn(Line $line): bool => $line->to_vessel_id !== null &&
                $line->from_vessel_id === null &&
                ($line->ends_above_mm > 0 ||
                    in_array($line->outlet, ['waterfall', 'spray_bar', 'jet', 'venturi'], true)) &&
                $line->valve_open_pct !== 0.0,
        );
        // What stands now and ran when oxygen was measured is told at the flow it had.
        $flowed =
            $flows <= 0 &&
            $system->pumps->contains(
                static fn(Pump $pump): bool => $pump->circulates() &&
                    in_array($ran[$pump->id] ?? '', ['on', 'alternate'], true),
            );
        $turned = ['on' => $runs, ...$flowed ? ['ran' => 'yes'] : []];
        $flows = $flowed ? 1.0 : $flows;
        $share = ($flows * $system->throughput()) / max(1, $returns->count());
        foreach ($returns as $line) {
            if ($line->outlet === 'venturi') {
                $devices[] = [
                    'kind' => 'venturi',
                    'name' => $line->name,
                    'air_l_min' => Venturi::airLMin((float) $share),
                    'depth_m' => Venturi::DEPTH_M,
                    ...$turned,
                ];
                continue;
            }
            $kind = in_array($line->outlet, ['waterfall', 'spray_bar', 'jet'], true) ? $line->outlet : 'waterfall';
            $devices[] = [
                'kind' => $kind,
                'name' => $line->name,
                'flow_l_h' => (float) $share,
                'fall_m' => max(0.05, $line->ends_above_mm / 1000),
                ...$turned,
            ];
        }
        foreach ($system->stages as $stage) {
            if ($stage->kind === 'shower') {
                $devices[] = [
                    'kind' => 'shower',
                    'name' => $stage->name,
                    'flow_l_h' => $flows * $stage->flow_l_h,
                    ...$turned,
                ];
            }
        }

        return $devices;
    }
}
