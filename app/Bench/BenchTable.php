<?php

declare(strict_types=1);

namespace App\Bench;

/** The benches there are. */
final readonly class BenchTable
{
    private const SALTS = [
        'sodium_bicarbonate' => 'sodium bicarbonate',
        'sodium_carbonate' => 'sodium carbonate (soda)',
        'calcium_chloride_dihydrate' => 'calcium chloride, dihydrate',
        'calcium_chloride' => 'calcium chloride, anhydrous',
        'magnesium_sulfate_heptahydrate' => 'magnesium sulfate, heptahydrate',
        'calcium_sulfate_dihydrate' => 'calcium sulfate, dihydrate (gypsum)',
    ];

    private const YES = ['yes' => 'yes', 'no' => 'no'];

    public static function find(string $name): ?Bench
    {
        return self::all()[$name] ?? null;
    }

    /** @return array<string, Bench> */
    public static function all(): array
    {
        $benches = [
            new Bench(
                'buffer',
                'KH by buffer',
                'carbonate.buffer',
                [
                    'target_alkalinity_mg_l',
                    'agent',
                    'volume_l',
                    'alkalinity_mg_l',
                    'ph',
                    'temp_c',
                    'tan_mg_l',
                    'nh3_limit_mg_l',
                    'max_step_mg_l',
                ],
                [
                    'dose_g' => ['In all', 'g'],
                    'ph_after' => ['pH right after', ''],
                    'ph_aired' => ['pH once aired', ''],
                    'nh3_n_now_mg_l' => ['Un-ionised now', 'mg/L as N'],
                    'nh3_n_after_mg_l' => ['and then', 'mg/L as N'],
                ],
                self::SALTS,
                dangerRefuses: true,
            ),
            new Bench(
                'hardness',
                'GH by minerals',
                'hardness.dose',
                ['target_hardness_mg_l', 'agent', 'volume_l', 'hardness_mg_l'],
                ['dose_g' => ['Give', 'g']],
                self::SALTS,
            ),
            new Bench(
                'dechlorinate',
                'Chlorine out of new water',
                'exchange.dechlorinate',
                ['volume_l', 'chlorine_mg_l', 'kind', 'label_ml', 'label_treats_l', 'label_chlorine_mg_l'],
                [
                    'thiosulfate_g' => ['Sodium thiosulfate', 'g'],
                    'conditioner_ml' => ['Conditioner by its label', 'mL'],
                    'tan_released_mg_l' => ['Ammonia left behind', 'mg/L as N'],
                ],
                ['free' => 'free chlorine', 'chloramine' => 'chloramine'],
                asked: ['volume_l'],
            ),
            new Bench(
                'carbon',
                'A carbon train',
                'exchange.carbon',
                ['bed_l', 'trickle_l_min', 'fast_l_min', 'kind', 'treated_l', 'rated_l'],
                [
                    'contact_trickle_min' => ['Contact at a trickle', 'min'],
                    'contact_fast_min' => ['at a fast fill', 'min'],
                    'needed_min' => ['It needs', 'min'],
                    'fastest_l_min' => ['No faster than', 'L/min'],
                    'litres_left' => ['Good for another', 'L'],
                    'days_left' => ['or at this trickle', 'days'],
                ],
                ['free' => 'free chlorine', 'chloramine' => 'chloramine'],
            ),
            new Bench(
                'heat',
                'Where the heat goes',
                'exchange.heat_balance',
                [
                    'temp_c',
                    'air_c',
                    'volume_l',
                    'surface_m2',
                    'covered',
                    'walls_m2',
                    'walls',
                    'flow_l_h',
                    'source_temp_c',
                    'coil_m2',
                    'heater_w',
                ],
                [
                    'needed_w' => ['To hold it', 'W'],
                    'trickle_w' => ['of it for new water', 'W'],
                    'walls_w' => ['through walls', 'W'],
                    'surface_w' => ['from the surface', 'W'],
                    'heater_share_pct' => ['The heater is on for', '%'],
                    'comes_in_c' => ['New water comes in at', '°C'],
                    'holds_c' => ['The heater could hold', '°C'],
                    'without_heater_c' => ['Without it the water goes to', '°C'],
                    'falls_c_h' => ['falling at first by', '°C an hour'],
                    'kwh_d' => ['In a day', 'kWh'],
                ],
                self::YES,
            ),
        ];

        return array_column($benches, null, 'name');
    }
}
