<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\LoadInputs;
use Ironwort\Core\Fish\ShutOffCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AirPressure;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Oxygen of a system by day and at dawn: what uses it, what brings it, and what each failure costs.
 *
 *     volume_l 9000, temp_c 20, biomass_kg 50, feed_g_d 220, surface_m2 11, devices [{"kind": "stone", "air_l_min":
 *       80, "depth_m": 0.8}]  →  do_dawn_mg_l 6.57, demand_g_h 6.83, minutes_to_danger 339
 *
 * @see Device, Aeration, DailyLoad for formulas and sources
 *
 * @source pond-oxygen  silt and plants
 * @source peak-after-meal  1.4 times the daily mean of fish and filter
 */
final readonly class OxygenBudgetCalculator implements Calculator
{
    /** Oxygen that silt uses, g/m²/d at 20 °C. */
    private const SILT = 1.0;

    private const SILT_THETA = 1.065;

    /** What plants give by day over their own need, and use by night, g/m² of cover and day at 20 °C in full growth. */
    private const PLANT_GIVES = 5.0;

    private const PLANT_USES = 3.0;

    private const GROWTH = [
        'spring' => 0.5,
        'summer' => 1.0,
        'autumn' => 0.4,
        'winter' => 0.1,
    ];

    public function __construct(private AerationInputs $aeration) {}

    /** What so much cover of plants, or a bloom like it, uses by night, g/h. */
    public static function plantsNightGH(float $m2, string $season, float $tempC, float $nightH = 10.0): float
    {
        return (self::PLANT_USES * $m2 * self::growth($season, $tempC)) / $nightH;
    }

    private static function growth(string $season, float $tempC): float
    {
        return self::GROWTH[$season] * 2 ** (($tempC - 20) / 10);
    }

    public function name(): string
    {
        return 'oxygen.budget';
    }

    public function title(): string
    {
        return 'Oxygen by day and at dawn';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterInputs::temperature(),
            WaterInputs::salinity(),
            ...AirPressure::inputs(),
            Input::number('biomass_kg', 'Fish', 'kg', 0, 1e6),
            LoadInputs::feed()->or(0.0),
            LoadInputs::dirt(),
            Input::number('do_mg_l', 'Oxygen as measured by day', 'mg/L', 0, 30)->optional(),
            Input::flag('no_devices', 'Nothing but its surface aerates it')->or(false),
            Input::number('nitrified_g_d', 'Ammonia nitrified', 'g N/d', 0, 1e6)->or(0.0),
            Input::number('silt_m2', 'Floor under silt', 'm²', 0, 1e6)->or(0.0),
            Input::number('plants_m2', 'Cover of plants and algae', 'm²', 0, 1e6)->or(0.0),
            Input::choice('season', 'Season', array_keys(self::GROWTH))->or('summer'),
            Input::number('night_h', 'Night', 'h', 1, 23)->or(10.0),
            Input::number('peak', 'After a meal, times the mean', null, 1, 3)->or(1.4),
            Input::number('target_mg_l', 'Oxygen wanted at dawn', 'mg/L', 0, 15)->or(6.0),
            ...$this->aeration->inputs(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('do_day_mg_l', 'mg/L'),
            new Output('do_dawn_mg_l', 'mg/L'),
            new Output('do_fed_mg_l', 'mg/L'),
            new Output('do_sat_mg_l', 'mg/L'),
            new Output('conductance_l_h', 'L/h'),
            new Output('demand_g_h', 'g/h'),
            new Output('fish_g_h', 'g/h'),
            new Output('nitrification_g_h', 'g/h'),
            new Output('silt_g_h', 'g/h'),
            new Output('dirt_g_h', 'g/h'),
            new Output('plants_night_g_h', 'g/h'),
            new Output('plants_day_g_h', 'g/h'),
            new Output('surface_g_h', 'g/h'),
            new Output('devices'),
            new Output('air_needed_l_min', 'L/min'),
            new Output('minutes_to_danger', 'min'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $volume = $given->number('volume_l');
        $of = fn(bool $byDay, bool $measured = false): Aeration => new Aeration(
            $this->aeration->devices($given, $temp, $byDay, $measured),
            $given->number('surface_m2'),
            $temp,
            $given->number('salinity_g_l'),
            AirPressure::of($given)->atm,
        );
        // What the sun drives is there by day and gone at night.
        [$byDay, $air] = [$of(true), $of(false)];
        $fish =
            DailyLoad::of(
                $given->number('biomass_kg'),
                $given->number('feed_g_d'),
                0.38,
                DailyLoad::USUAL_DIGESTIBILITY,
                0.0,
                $temp,
            )->oxygen() / 24;
        $nitrifying = (DailyLoad::O2_PER_N * $given->number('nitrified_g_d')) / 24;
        $silt = (self::SILT * $given->number('silt_m2') * self::SILT_THETA ** ($temp - 20)) / 24;
        $growth = self::growth($given->text('season'), $temp);
        $night = $given->number('night_h');
        $plantsDay = (self::PLANT_GIVES * $given->number('plants_m2') * $growth) / (24 - $night);
        $plantsNight = self::plantsNightGH($given->number('plants_m2'), $given->text('season'), $temp, $night);
        $dirt = ($given->number('dirt_o2_g_g') * $given->number('feed_g_d')) / 24;
        $base = $fish + $nitrifying + $silt + $dirt;
        $measured = $given->numberOrNull('do_mg_l');
        $unknown = $given->rows('devices') === [] && !$given->flag('no_devices') && $measured === null;
        if ($measured !== null) {
            // What was switched since it was measured gives now what it would have given then, or nothing.
            $then = $of(true, true);
            $uses = max(0.0, $base - $plantsDay);
            [$byDay, $air] = [$byDay->holding($measured, $uses, $then), $air->holding($measured, $uses, $then)];
        }

        [$day, $dawn] = self::dayAndDawn($byDay, $air, $base, $plantsDay, $plantsNight, $volume, $night);
        $fed = $byDay->settles($given->number('peak') * ($fish + $nitrifying) + $silt + $dirt);
        $hours = $air->still()->hoursTo(ShutOffCalculator::DANGER_MG_L, $dawn, $base + $plantsNight, $volume);

        $work = new Working();
        $work->step(
            'What the fish breathe.',
            'the larger of feed × 0.4 and the fasting floor, over 24 h',
            Format::number($given->number('biomass_kg'), 3) .
                ' kg, ' .
                Format::number($given->number('feed_g_d'), 4) .
                ' g/d of feed, ' .
                Format::number($temp) .
                ' °C',
            Format::number($fish) . ' g/h',
        );
        $work->step(
            'Nitrifying their ammonia, silt, and dirt as it rots.',
            '4.57 × N / 24, 1.0 × m² × 1.065^(t − 20) / 24, share × feed / 24',
            Format::number($given->number('nitrified_g_d')) .
                ' g N/d, ' .
                Format::number($given->number('silt_m2')) .
                ' m²',
            Format::number($nitrifying) . ', ' . Format::number($silt) . ' and ' . Format::number($dirt) . ' g/h',
        );
        if ($given->number('plants_m2') > 0) {
            $work->step(
                'Plants give by day and take by night.',
                'm² × rate × growth in this season',
                Format::number($given->number('plants_m2')) . ' m²',
                Format::number($plantsDay) . ' g/h by day, ' . Format::number($plantsNight) . ' g/h by night',
            );
        }
        $work->step(
            'What the devices and the surface bring for each mg/L that is missing.',
            'Σ k',
            count($air->devices) . ' devices, surface ' . Format::number($air->surface, 3) . ' L/h',
            Format::number($air->conductance, 4) . ' L/h',
        );
        if ($measured !== null) {
            $work->step(
                'Aeration as it must be to hold the oxygen that was measured.',
                'use / (0.98 C* − DO)',
                Format::number($measured) . ' mg/L',
                Format::number($air->conductance, 4) . ' L/h',
            );
        }
        $work->step(
            'Oxygen by day, as it settles.',
            '0.98 C* − (use − plants) / Σ k',
            'C* ' . Format::number($air->saturation) . ' mg/L',
            Format::number($day, 3) . ' mg/L',
        );
        $work->step(
            'And run down over the night.',
            'C∞ + (C − C∞) e^(−Σk t / V)',
            Format::number($night) . ' h, ' . Format::number($volume, 5) . ' L',
            Format::number($dawn, 3) . ' mg/L',
        );
        $work->cite(
            'fish-oxygen',
            'floor-excretion',
            'nitrification-stoichiometry',
            'aeration-from-memory',
            'gameson-1958',
            'surface-reaeration',
            'pond-oxygen',
            'dirt-oxygen',
            'peak-after-meal',
            'benson-krause-1984',
            'oxygen-danger',
        );
        $work->note(Message::of('aeration.oxygen_budget_aerators_differ_twofold_give'));
        if ($unknown) {
            $work->watch(Message::of('aeration.oxygen_budget_not_described'));
        } elseif ($air->conductance <= 0 && $base > 0) {
            $work->danger(Message::of('aeration.oxygen_budget_nothing_said_bring_oxygen'));
        } elseif ($dawn < ShutOffCalculator::DANGER_MG_L) {
            $work->danger(Message::of('aeration.oxygen_budget_dawn_oxygen_would_under'));
        } elseif ($dawn < $given->number('target_mg_l')) {
            $work->watch(Message::of('aeration.oxygen_budget_dawn_oxygen_falls_under'));
        }
        $needed = $this->airNeeded($air, $base + $plantsNight, $given->number('target_mg_l'), $temp);
        if ($needed === null) {
            $work->watch(Message::of('aeration.oxygen_budget_water_cannot_hold_oxygen'));
        }

        return $work->result([
            'do_day_mg_l' => $unknown ? null : $day,
            'do_dawn_mg_l' => $unknown ? null : $dawn,
            'do_fed_mg_l' => $unknown ? null : $fed,
            'do_sat_mg_l' => $air->saturation,
            'conductance_l_h' => $air->conductance,
            'demand_g_h' => $base,
            'fish_g_h' => $fish,
            'nitrification_g_h' => $nitrifying,
            'silt_g_h' => $silt,
            'dirt_g_h' => $dirt,
            'plants_night_g_h' => $plantsNight,
            'plants_day_g_h' => $plantsDay,
            'surface_g_h' => $unknown ? null : ($air->surface * ($air->ceiling() - $dawn)) / 1000,
            'devices' => array_map(
                static fn(Device $device): array => [
                    'name' => $device->name,
                    'kind' => $device->kind->id,
                    'on' => $device->on,
                    'sotr_kg_h' => $device->sotrKgH,
                    'gives_kg_h' => $device->gives($dawn, $air->saturation) / 1000,
                    'do_dawn_without_mg_l' => $device->on
                        ? self::dayAndDawn(
                            $byDay,
                            $air->without($device),
                            $base,
                            $plantsDay,
                            $plantsNight,
                            $volume,
                            $night,
                        )[1]
                        : $dawn,
                ],
                $air->devices,
            ),
            'air_needed_l_min' => $unknown ? null : $needed,
            'minutes_to_danger' => $unknown || $hours === null ? null : 60 * $hours,
        ]);
    }

    /** @return array{float, float} */
    private static function dayAndDawn(
        Aeration $byDay,
        Aeration $air,
        float $base,
        float $plantsDay,
        float $plantsNight,
        float $volume,
        float $night,
    ): array {
        $noon = $byDay->settles(max(0.0, $base - $plantsDay));
        // Plants lift the water over saturation by day; what a surface then loses again is left to them.
        $day =
            $base < $plantsDay
                ? min(2 * $air->saturation, $byDay->after($noon, $base - $plantsDay, $volume, (24 - $night) / 2))
                : $noon;

        return [$day, $air->after($day, $base + $plantsNight, $volume, $night)];
    }

    /** More air through coarse stones at a metre that would hold the target; null where none can. */
    private function airNeeded(Aeration $air, float $demand, float $target, float $temp): ?float
    {
        $lack = $air->ceiling() - $target;
        if ($lack <= 0) {
            return null;
        }
        $one = Device::air('', $this->aeration->stone(), true, 1.0, 1.0, $temp)->conductance;

        return max(0.0, ((1000 * $demand) / $lack - $air->conductance) / $one);
    }
}
