<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\AirOutlet;
use App\Models\Pump;
use App\Models\System;
use App\Models\Vessel;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Ironwort\Core\Aeration\AirSplit;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Measure\CalendarSeason;

/** Oxygen by day and at dawn, what brings it in, and what the fish lose of it while air is led elsewhere. */
final readonly class OxygenReport
{
    /** Air is led to a bed for about half an hour. Common practice, no source. */
    private const WASH_H = 0.5;

    public function __construct(private Registry $registry, private LoopSums $systems, private VolumeReport $volumes) {}

    /**
     * What `oxygen.budget` is asked of a system as it runs.
     *
     * @return array<string, mixed>
     */
    private function asked(System $system, Conditions $conditions, float $nitrified, float $biomass): array
    {
        $season = CalendarSeason::ofMonth(Carbon::now($system->site->timezone)->month);
        $sum = static fn(string $key): float => $system->vessels->sum(
            static fn(Vessel $vessel): float => is_numeric($vessel->getAttribute($key))
                ? (float) $vessel->getAttribute($key)
                : 0.0,
        );

        return [
            'volume_l' => max(1.0, $this->volumes->inUse($system)->value),
            'temp_c' => $conditions->values['temp_c'],
            'altitude_m' => $system->site->altitude_m,
            'biomass_kg' => max(0.0, $biomass),
            'feed_g_d' => $conditions->values['feed_g_d'],
            'nitrified_g_d' => $nitrified,
            'silt_m2' => $sum('silt_m2'),
            'plants_m2' => $sum('plants_m2'),
            'season' => $season->value,
            'night_h' => $season->nightH(),
            'surface_m2' => $this->systems->surface($system),
            'devices' => Aerators::of($system, $conditions->oxygenMeasuredAt()),
            // One page, one oxygen: what was measured or typed is what is held.
            ...in_array($conditions->origins['do_mg_l']->kind, ['measured', 'typed'], true)
                ? ['do_mg_l' => $conditions->values['do_mg_l']]
                : [],
        ];
    }

    /**
     * @param  float  $nitrified  g N a day that the filter takes
     * @param  list<Origin>  $origins
     * @return array<string, mixed>
     */
    public function of(System $system, Conditions $conditions, float $nitrified, float $biomass, array $origins): array
    {
        $input = $this->asked($system, $conditions, $nitrified, $biomass);
        $result = $this->registry->run('oxygen.budget', $input);
        $degas = [
            'co2_g_d' => 1.375 * 24 * $result->number('fish_g_h'),
            'alkalinity_mg_l' => $conditions->values['alkalinity_mg_l'],
            'temp_c' => $conditions->values['temp_c'],
            'surface_m2' => $input['surface_m2'],
            'devices' => $input['devices'],
        ];
        // Where nothing is said of what aerates it, what it drives off is not known either.
        $gas = $input['devices'] === [] ? null : $this->registry->run('carbonate.degas', $degas);
        $figure = static fn(string $label, string $key, string $unit): ?array => is_float($result->figures[$key])
            ? (new Figure($label, $result->number($key), $unit, 'oxygen.budget', $key, $input, $origins))->toArray()
            : null;
        $out = static fn(string $label, string $key, ?string $unit): ?array => $gas !== null &&
        is_float($gas->figures[$key])
            ? (new Figure($label, $gas->number($key), $unit, 'carbonate.degas', $key, $degas, $origins))->toArray()
            : null;

        return [
            'figures' => array_values(
                array_filter([
                    $figure('By day', 'do_day_mg_l', 'mg/L'),
                    $figure('At dawn', 'do_dawn_mg_l', 'mg/L'),
                    $figure('After a meal', 'do_fed_mg_l', 'mg/L'),
                    $figure('Used', 'demand_g_h', 'g/h'),
                    $figure('More air for 6 mg/L at dawn', 'air_needed_l_min', 'L/min of air'),
                    $figure('All air off at dawn: time to 3 mg/L', 'minutes_to_danger', 'min'),
                    $out('CO₂', 'co2_mg_l', 'mg/L'),
                    $out('pH with this KH', 'ph', null),
                ]),
            ),
            'devices' => $result->figures['devices'],
            'season' => $input['season'],
            'says' => array_map(
                static fn(Caution $caution): array => $caution->message->toArray(),
                array_values(
                    array_filter(
                        $result->cautions,
                        static fn(Caution $caution): bool => $caution->level !== Level::Note,
                    ),
                ),
            ),
            'diverted' => array_map(
                static fn(LedAway $one): array => $one->toArray(),
                $this->ledAway($system, $conditions, $nitrified, $biomass, $origins),
            ),
        ];
    }

    /**
     * For each bed that air can be led to: what the fish get now of that pump, and their oxygen while all of its air
     * goes to the bed.
     *
     * @param  float  $nitrified  g N a day that the filter takes
     * @param  list<Origin>  $origins
     * @return list<LedAway>
     */
    public function ledAway(
        System $system,
        Conditions $conditions,
        float $nitrified,
        float $biomass,
        array $origins,
    ): array {
        $outlets = $system->airOutlets->whereNotNull('stage_id')->where('valve', true);
        if ($outlets->isEmpty()) {
            return [];
        }
        $input = $this->asked($system, $conditions, $nitrified, $biomass);
        $day = $this->registry->run('oxygen.budget', $input)->figures['do_day_mg_l'];
        if (!is_float($day) || !is_float($input['volume_l'])) {
            return [];
        }
        $rows = [];
        foreach ($outlets as $outlet) {
            $pump = $system->pumps->firstWhere('id', $outlet->pump_id);
            $shares = $system->airOutlets->where('pump_id', $outlet->pump_id)->whereNotNull('vessel_id')->isNotEmpty();
            $split = $pump instanceof Pump && $shares ? AirOutlet::split($system, $pump) : null;
            if ($split === null) {
                continue;
            }
            $turned = [...$input, 'devices' => Aerators::of($system, $conditions->oxygenMeasuredAt(), $outlet)];
            $result = $this->registry->run('oxygen.budget', $turned);
            $rows[] = new LedAway(
                $outlet,
                $system->stages->firstWhere('id', $outlet->stage_id)->name ?? '',
                (float) $pump->air_l_min,
                $split->toFish(),
                AirSplit::oxygenAfter(
                    $day,
                    $result->number('do_day_mg_l'),
                    $result->number('conductance_l_h'),
                    $input['volume_l'],
                    self::WASH_H,
                ),
                new Figure(
                    'By day, with its air away',
                    $result->number('do_day_mg_l'),
                    'mg/L',
                    'oxygen.budget',
                    'do_day_mg_l',
                    $turned,
                    $origins,
                ),
            );
        }

        return $rows;
    }
}
