<?php

declare(strict_types=1);

namespace Ironwort\Core\Tests\Aeration;

use Ironwort\Core\Aeration\Aeration;
use Ironwort\Core\Aeration\Device;
use Ironwort\Core\Aeration\Venturi;
use Ironwort\Core\Catalogue\Library;
use Ironwort\Core\Tests\Calculations;
use PHPUnit\Framework\TestCase;

final class OxygenBudgetTest extends TestCase
{
    use Calculations;

    private const POND = [
        'volume_l' => 29000,
        'temp_c' => 24,
        'biomass_kg' => 75,
        'feed_g_d' => 300,
        'nitrified_g_d' => 10,
        'surface_m2' => 24,
        'plants_m2' => 6,
        'night_h' => 8,
    ];

    /** The standard field correction by hand: SOTR α (βC* − C)/9.09 · 1.024^(t − 20). */
    public function test_an_air_pump_gives_what_the_field_correction_says(): void
    {
        $stone = Library::shipped()->aerators()->get('stone');
        $device = Device::air('stones', $stone, true, 60.0, 1.0, 25.0);
        self::assertEqualsWithDelta(60 * 0.0167 * 0.025, $device->sotrKgH, 1e-9);
        $field = ((60 * 0.0167 * 0.025 * 0.9 * (0.98 * 8.263 - 5.0)) / 9.09) * 1.024 ** 5;
        self::assertEqualsWithDelta($field, $device->gives(5.0, 8.263) / 1000, 1e-6);
        // By the current it draws the same pump lands within its table's range: 45 W at 0.4 to 0.8 kg/kWh.
        self::assertEqualsWithDelta(0.045 * 0.6, Device::power('stones', $stone, true, 45.0, 25.0)->sotrKgH, 1e-9);
    }

    /** Gameson by hand: a metre's fall at 20 °C divides the deficit by 1 + 0.38 · 0.89 · 1.92 = 1.649. */
    public function test_a_waterfall_divides_the_deficit(): void
    {
        $fall = Device::fall('fall', Library::shipped()->aerators()->get('waterfall'), true, 3000.0, 1.0, 20.0);
        self::assertEqualsWithDelta(3000 * (1 - 1 / (1 + 0.38 * 0.89 * 1.92)), $fall->conductance, 1e-6);
    }

    public function test_water_settles_where_as_much_comes_in_as_is_breathed_and_follows_an_exponential_there(): void
    {
        $air = new Aeration([], 50.0, 20.0);
        $demand = 5.0;
        $end = $air->settles($demand);
        self::assertEqualsWithDelta($demand, ($air->conductance * ($air->ceiling() - $end)) / 1000, 1e-9);
        // The same by small steps.
        $oxygen = 8.0;
        for ($i = 0; $i < 6000; $i++) {
            $oxygen += (0.001 * ($air->conductance * ($air->ceiling() - $oxygen) - 1000 * $demand)) / 10000;
        }
        self::assertEqualsWithDelta($oxygen, $air->after(8.0, $demand, 10000.0, 6.0), 1e-3);
        $hours = $air->hoursTo(5.0, 8.0, 30.0, 10000.0);
        self::assertEqualsWithDelta(5.0, $air->after(8.0, 30.0, 10000.0, (float) $hours), 1e-9);
        self::assertNull($air->hoursTo(1.0, 8.0, 0.5, 10000.0), 'a quiet surface alone holds so few fish');
    }

    public function test_plants_help_by_day_and_take_by_night_and_dawn_is_worst_in_summer(): void
    {
        $devices = [
            'devices' => [
                ['kind' => 'stone', 'air_l_min' => 60, 'depth_m' => 1.2],
                ['kind' => 'waterfall', 'flow_l_h' => 14000, 'fall_m' => 0.2, 'name' => 'Return'],
            ],
        ];
        $planted = $this->calculate('oxygen.budget', [...self::POND, ...$devices]);
        $bare = $this->calculate('oxygen.budget', [...self::POND, ...$devices, 'plants_m2' => 0]);
        self::assertGreaterThan($bare->number('do_day_mg_l'), $planted->number('do_day_mg_l'));
        self::assertLessThan($bare->number('do_dawn_mg_l'), $planted->number('do_dawn_mg_l'));
        $winter = $this->calculate('oxygen.budget', [
            ...self::POND,
            ...$devices,
            'temp_c' => 6,
            'feed_g_d' => 0,
            'season' => 'winter',
            'night_h' => 16,
        ]);
        self::assertGreaterThan($planted->number('do_dawn_mg_l') + 2, $winter->number('do_dawn_mg_l'));
        foreach ($planted->figures['devices'] as $device) {
            self::assertLessThan($planted->number('do_dawn_mg_l'), $device['do_dawn_without_mg_l'], $device['name']);
        }
        self::assertLessThan($planted->number('do_day_mg_l'), $planted->number('do_fed_mg_l'));
    }

    public function test_with_everything_off_there_are_minutes_and_the_air_asked_for_holds_the_target(): void
    {
        $crowded = [
            'volume_l' => 3000,
            'temp_c' => 22,
            'biomass_kg' => 60,
            'feed_g_d' => 400,
            'nitrified_g_d' => 13,
            'surface_m2' => 4,
            'target_mg_l' => 6,
            'devices' => [['kind' => 'stone', 'air_l_min' => 40, 'depth_m' => 0.8]],
        ];
        $now = $this->calculate('oxygen.budget', $crowded);
        self::assertLessThan(6, $now->number('do_dawn_mg_l'));
        self::assertGreaterThan(0, $needed = $now->number('air_needed_l_min'));
        $crowded['devices'][] = ['kind' => 'stone', 'air_l_min' => $needed, 'depth_m' => 1];
        $helped = $this->calculate('oxygen.budget', $crowded);
        self::assertEqualsWithDelta(6.0, $helped->number('do_dawn_mg_l'), 0.01);
        self::assertLessThan(120, $helped->number('minutes_to_danger'));
        self::assertSame(
            ['devices.0.depth_m'],
            array_keys(
                $this->errors('oxygen.budget', [...self::POND, 'devices' => [['kind' => 'stone', 'air_l_min' => 40]]]),
            ),
        );
        self::assertNull(
            $this->calculate('oxygen.budget', [...self::POND, 'target_mg_l' => 12])->figures['air_needed_l_min'],
        );
    }

    public function test_a_fall_needs_its_height_a_shower_does_not_and_a_venturi_draws_a_tenth_of_its_water(): void
    {
        $budget = fn(array $device): array => $this->errors('oxygen.budget', [
            'volume_l' => 9000,
            'temp_c' => 20,
            'biomass_kg' => 50,
            'feed_g_d' => 220,
            'devices' => [$device],
        ]);
        self::assertSame([], $budget(['kind' => 'shower', 'flow_l_h' => 4000]));
        self::assertSame(['devices.0.flow_l_h'], array_keys($budget(['kind' => 'shower'])));
        self::assertSame(['devices.0.fall_m'], array_keys($budget(['kind' => 'waterfall', 'flow_l_h' => 4000])));
        self::assertSame([], $budget(['kind' => 'waterfall', 'flow_l_h' => 4000, 'fall_m' => 0.3]));
        self::assertSame(['devices.0.depth_m'], array_keys($budget(['kind' => 'stone', 'air_l_min' => 40])));
        // About a tenth, let out 0.3 m under: from memory.
        self::assertSame([10.0, 0.3], [Venturi::airLMin(6000.0), Venturi::DEPTH_M]);
    }

    public function test_aeration_nobody_described_is_not_known_and_never_none(): void
    {
        $unknown = $this->calculate('oxygen.budget', self::POND);
        foreach (['do_day_mg_l', 'do_dawn_mg_l', 'do_fed_mg_l', 'minutes_to_danger', 'air_needed_l_min'] as $key) {
            self::assertNull($unknown->figures[$key], $key);
        }
        self::assertSame('aeration.oxygen_budget_not_described', $unknown->cautions[1]->message->code);
        self::assertIsFloat(
            $this->calculate('oxygen.budget', [...self::POND, 'no_devices' => true])->figures['do_dawn_mg_l'],
        );
    }

    /** By arithmetic: 0.2 g a gram of 300 g a day are 2.5 g an hour; fish and filter take 1.4 times after a meal. */
    public function test_dirt_takes_oxygen_and_a_meal_lifts_what_fish_and_filter_take(): void
    {
        $pond = [
            ...self::POND,
            'plants_m2' => 0,
            'devices' => [['kind' => 'stone', 'air_l_min' => 90, 'depth_m' => 1.2]],
        ];
        $usual = $this->calculate('oxygen.budget', $pond);
        self::assertEqualsWithDelta(2.5, $usual->number('dirt_g_h'), 1e-9);
        $clean = $this->calculate('oxygen.budget', [...$pond, 'dirt_o2_g_g' => 0.05]);
        self::assertEqualsWithDelta(
            (0.15 * 300) / 24,
            $usual->number('demand_g_h') - $clean->number('demand_g_h'),
            1e-9,
        );
        // Where nothing but the mean and the meal differ, the fall is in proportion to what is taken.
        $air =
            ($usual->number('demand_g_h') * 1000) /
            (0.98 * $usual->number('do_sat_mg_l') - $usual->number('do_day_mg_l'));
        $fed = $usual->number('demand_g_h') + 0.4 * ($usual->number('fish_g_h') + $usual->number('nitrification_g_h'));
        self::assertEqualsWithDelta(
            0.98 * $usual->number('do_sat_mg_l') - (1000 * $fed) / $air,
            $usual->number('do_fed_mg_l'),
            0.02,
        );
        // The filter's balance takes the same dirt.
        $house = [
            'volume_l' => 10000,
            'temp_c' => 20,
            'ph' => 7.5,
            'alkalinity_mg_l' => 120,
            'biomass_kg' => 30,
            'feed_g_d' => 300,
            'surface_m2' => 10,
            'devices' => [['kind' => 'stone', 'air_l_min' => 60, 'depth_m' => 1.0]],
            'stages' => [
                [
                    'kind' => 'moving_bed',
                    'medium' => 'moving_carrier',
                    'media_l' => 200,
                    'flow_l_h' => 8000,
                    'air_l_min' => 60,
                ],
            ],
        ];
        self::assertGreaterThan(
            $this->figure('filter.balance', $house, 'do_mg_l'),
            $this->figure('filter.balance', [...$house, 'dirt_o2_g_g' => 0.05], 'do_mg_l'),
        );
    }
}
