<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Age;
use App\Models\AirOutlet;
use App\Models\BuildChange;
use App\Models\FishGroup;
use App\Models\Junction;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Volumes\LoopSums;
use App\Volumes\WaterBodies;
use Ironwort\Core\Loop\Place;

/** What a system is built of and who lives in it, as the forms edit it. */
final readonly class BuildResource
{
    /** @return array<string, mixed> */
    public static function of(System $system): array
    {
        $report = app(LoopSums::class);
        $feed = $system->feed();
        $cut = array_map(static fn(Vessel $vessel): string => $vessel->id, WaterBodies::shut($system));

        return [
            'vessels' => $system->vessels
                ->map(
                    static fn(Vessel $vessel): array => [
                        'id' => $vessel->id,
                        'version' => $vessel->version(),
                        'name' => $vessel->name,
                        'kind' => $vessel->kind,
                        'holds_fish' => $vessel->holdsFish(),
                        'shape' => $vessel->shape,
                        'measures' => (object) $vessel->measures,
                        'freeboard_m' => $vessel->freeboard_m,
                        'displaced_l' => $vessel->displaced_l,
                        'netted' => $vessel->netted,
                        'level_mm' => $vessel->level_mm,
                        'may_fall_mm' => $vessel->may_fall_mm,
                        'overflow' => $vessel->overflow,
                        'float_valve' => $vessel->float_valve,
                        'refill_l_min' => $vessel->refill_l_min,
                        'shade' => $vessel->shade,
                        'stones_m2' => $vessel->stones_m2,
                        'silt_m2' => $vessel->silt_m2,
                        'plants_m2' => $vessel->plants_m2,
                        'invertebrates' => $vessel->invertebrates,
                        'cost' => $vessel->cost,
                        'shut_off' => in_array($vessel->id, $cut, true),
                        'volume' => $report->vessel($vessel)->toArray(),
                    ],
                )
                ->values(),
            'stages' => $system->stages
                ->map(
                    static fn(Stage $stage): array => [
                        'id' => $stage->id,
                        'version' => $stage->version(),
                        'name' => $stage->name,
                        'kind' => $stage->kind,
                        'medium' => $stage->medium,
                        'area_m2_m3' => $stage->area_m2_m3,
                        'media_l' => $stage->media_l,
                        'flow_l_h' => $stage->flow_l_h,
                        'flow_of_loop' => $stage->flow_of_loop,
                        'branch' => $stage->branch,
                        'air_l_min' => $stage->air_l_min,
                        'maturity_pct' => $stage->maturity_pct,
                        'fouling_pct' => $stage->fouling_pct,
                        'cleaned_on' => $stage->cleaned_on?->toDateString(),
                        'loss_mm' => $stage->loss_mm,
                        'rim_mm' => $stage->rim_mm,
                        'may_drop_mm' => $stage->may_drop_mm,
                        'vessel_id' => $stage->vessel_id,
                        'fed' => $stage->fed,
                        'since' => $stage->since?->toDateString(),
                        'bypassable' => $stage->bypassable,
                        'bypassed' => $stage->bypassed,
                        'lamp_state' => $stage->lamp_state,
                        'water_l' => $stage->water_l,
                        'plan_m2' => $stage->plan_m2,
                        'chamber_id' => $stage->chamber_id,
                        'under_pressure' => $stage->under_pressure,
                        'may_press_m' => $stage->may_press_m,
                        'cost' => $stage->cost,
                        'lamp_w' => $stage->lamp_w,
                        'lamp_fitted_on' => $stage->lamp_fitted_on?->toDateString(),
                        'sleeve_wiped_on' => $stage->sleeve_wiped_on?->toDateString(),
                    ],
                )
                ->values(),
            'pumps' => $system->pumps
                ->map(
                    static fn(Pump $pump): array => [
                        'id' => $pump->id,
                        'version' => $pump->version(),
                        'name' => $pump->name,
                        'kind' => $pump->kind,
                        'curve' => $pump->curve,
                        'rated_l_h' => $pump->rated_l_h,
                        'air_l_min' => $pump->air_l_min,
                        'power_w' => $pump->power_w,
                        'circuit' => $pump->circuit,
                        'running' => $pump->running,
                        'state' => $pump->state,
                        'by_day' => $pump->by_day,
                        'at_surface' => $pump->at_surface,
                        'spot' => $pump->spot,
                        'aim' => $pump->aim,
                        'guarded' => $pump->guarded,
                        'vessel_id' => $pump->vessel_id,
                        'submergence_m' => $pump->submergence_m,
                        'lift_m' => $pump->lift_m,
                        'above_mm' => $pump->above_mm,
                        'riser_mm' => $pump->riser_mm,
                        'diffuser' => $pump->diffuser,
                        'depth_m' => $pump->depth_m,
                        'cost' => $pump->cost,
                    ],
                )
                ->values(),
            'junctions' => $system->junctions
                ->map(
                    static fn(Junction $junction): array => [
                        'id' => $junction->id,
                        'version' => $junction->version(),
                        'name' => $junction->name,
                    ],
                )
                ->values(),
            'lines' => $system->lines
                ->map(
                    static fn(Line $line): array => [
                        'id' => $line->id,
                        'version' => $line->version(),
                        'name' => $line->name,
                        'from' => self::place($line->from()),
                        'to' => self::place($line->to()),
                        'bore_mm' => $line->bore_mm,
                        'length_m' => $line->length_m,
                        'fittings' => (object) $line->fittings,
                        'valve_open_pct' => $line->valve_open_pct,
                        'check_valve' => $line->check_valve,
                        'guarded' => $line->guarded,
                        'outlet' => $line->outlet,
                        'ends_above_mm' => $line->ends_above_mm,
                        'intake' => $line->intake,
                        'within_reach' => $line->within_reach,
                        'spot' => $line->spot,
                        'aim' => $line->aim,
                        'leads_to' => $line->leads_to,
                        'fall_mm' => $line->fall_mm,
                        'mouth_mm' => $line->mouth_mm,
                        'three_way_id' => $line->three_way_id,
                        'cost' => $line->cost,
                    ],
                )
                ->values(),
            'outlets' => $system->airOutlets
                ->map(
                    static fn(AirOutlet $outlet): array => [
                        'id' => $outlet->id,
                        'version' => $outlet->version(),
                        'name' => $outlet->name,
                        'pump_id' => $outlet->pump_id,
                        'to' =>
                            $outlet->vessel_id === null ? "stage:{$outlet->stage_id}" : "vessel:{$outlet->vessel_id}",
                        'share' => $outlet->share,
                        'valve' => $outlet->valve ? ($outlet->open ? 'open' : 'shut') : 'none',
                    ],
                )
                ->values(),
            'fish' => $system->fish
                ->map(
                    static fn(FishGroup $group): array => [
                        'id' => $group->id,
                        'version' => $group->version(),
                        'name' => $group->name,
                        'count' => $group->count,
                        'length_cm' => $group->length_cm,
                        'condition' => $group->condition,
                        'vessel_id' => $group->vessel_id,
                        'weight_g' => $group->weight_g,
                        'arrived_on' => $group->arrived_on?->toDateString(),
                        'weight' => $report->group($group)->toArray(),
                    ],
                )
                ->values(),
            'retired' => self::retired($system),
            'undo' => self::undo($system),
            'feed' =>
                $feed === null
                    ? null
                    : [
                        'feed_g_d' => $feed->feed_g_d,
                        'protein_pct' => $feed->protein_pct,
                        'since' => $feed->since->toDateString(),
                    ],
        ];
    }

    /** @return ?array{id: string, says: string, by: ?string, age: string} what can be taken back */
    private static function undo(System $system): ?array
    {
        $change = BuildChange::newest($system);

        return $change === null
            ? null
            : [
                'id' => $change->id,
                'says' => $change->says,
                'by' => $change->user?->name,
                'age' => Age::of($change->created_at),
            ];
    }

    /** @return list<array{kind: string, id: string, name: string, age: string}> what was taken out of service */
    private static function retired(System $system): array
    {
        $rows = [];
        foreach (['vessels' => Vessel::class, 'stages' => Stage::class, 'pumps' => Pump::class] as $kind => $class) {
            foreach (
                $class::query()->where('system_id', $system->id)->whereNotNull('retired_at')->orderBy('name')->get()
                as $part
            ) {
                $rows[] = [
                    'kind' => $kind,
                    'id' => $part->id,
                    'name' => $part->name,
                    'age' => Age::of($part->retired_at ?? now()),
                ];
            }
        }

        return $rows;
    }

    /** As the form writes it: `vessel:KEY`, or `outside`. */
    private static function place(Place $place): string
    {
        return $place->id === '' ? $place->kind->value : "{$place->kind->value}:{$place->id}";
    }
}
