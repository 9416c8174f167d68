<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Bench\Bench;
use App\Bench\BenchAnswer;
use App\Models\Good;
use App\Models\System;
use Illuminate\Support\Collection;
use Ironwort\Core\Dose\Agent;
use Ironwort\Core\Dose\AgentTable;

/**
 * Something that can be dosed: an agent of the table, something of one's own shelf, or a thing given to the water
 * itself.
 *
 * `conflict` is what it counts as when it meets others; what is given `apart`, in a bath of its own, meets nothing of
 * the loop.
 */
final readonly class Dosable
{
    private function __construct(
        public string $id,
        public string $name,
        public string $group,
        public Bench $bench,
        public string $conflict,
        public ?Agent $agent = null,
        public ?Good $good = null,
        public bool $apart = false,
    ) {}

    /** @return array<string, self> */
    public static function all(System $system, AgentTable $agents): array
    {
        $things = self::forWater($agents->get('salt'));
        foreach ($agents->agents as $agent) {
            if ($agent->id === 'salt') {
                continue;
            }
            $fields = [
                'way',
                'dose_mg_l',
                'volume_l',
                'strength_pct',
                ...$agent->id === 'potassium_permanganate' ? ['demand_mg_l'] : [],
            ];
            $things[] = new self(
                $agent->id,
                $agent->name,
                'Treatments',
                new Bench(
                    'treatment',
                    $agent->name,
                    'dose.treatment',
                    $fields,
                    [
                        'dose' => ['Give', $agent->unit],
                        'dose_mg_l' => ['which is', $agent->unit === 'mL' ? 'µL/L' : 'mg/L'],
                        'exposure_min' => ['for no longer than', 'min'],
                        'oxygen_cost_mg_l' => ['It takes oxygen', 'mg/L'],
                    ],
                    array_filter([
                        'prolonged' => $agent->prolonged === null ? null : 'to stay in the water',
                        'bath' => $agent->bath === null ? null : 'a bath',
                        'dip' => $agent->dip === null ? null : 'a dip',
                    ]),
                    asked: ['way'],
                ),
                $agent->id,
                $agent,
            );
        }
        /** @var Collection<int, Good> $goods */
        $goods = Good::query()
            ->where('site_id', $system->site_id)
            ->where('kind', 'agent')
            ->orderBy('name')
            ->limit(100)
            ->get();
        foreach ($goods as $good) {
            $things[] = new self(
                "own_{$good->id}",
                $good->name,
                'Your own, by label',
                new Bench(
                    'own',
                    $good->name,
                    'dose.treatment',
                    ['label_ml', 'label_treats_l'],
                    ['dose' => ['Give', $good->unit === 'g' ? 'g' : 'mL']],
                ),
                'own',
                null,
                $good,
            );
        }

        return array_column($things, null, 'id');
    }

    /** What it is taken from, as the shelf lists it; null where nothing is given. */
    public function shelfKind(): ?string
    {
        return match ($this->id) {
            'chloride_guard', 'salt_dip' => 'salt',
            'peroxide_oxygen' => 'hydrogen_peroxide',
            'permanganate_demand', 'ammonium' => null,
            default => $this->good === null ? $this->id : 'agent',
        };
    }

    /** What it is weighed or poured in, where nothing is worked out: g or mL. */
    public function unit(): string
    {
        return match (true) {
            $this->agent !== null => $this->agent->unit,
            $this->good !== null => $this->good->unit === 'g' ? 'g' : 'mL',
            default => in_array($this->id, ['binder', 'culture'], true) ? 'mL' : 'g',
        };
    }

    /** The id it is booked under: what it is, whatever it was given against. */
    public function bookedAs(): string
    {
        return match ($this->id) {
            'chloride_guard', 'salt_dip' => 'salt',
            'peroxide_oxygen' => 'hydrogen_peroxide',
            default => $this->good === null ? $this->id : 'own',
        };
    }

    /**
     * What an amount of it brings into the water of what is counted, mg/L; null for what is not counted so.
     *
     * @param  ?float  $workedOut  the amount its bench gave, for ammonium: what it lifts the ammonia by goes with it
     */
    public function levelMgL(float $amount, ?float $workedOut, float $volumeL, BenchAnswer $bench): ?float
    {
        if ($this->id === 'ammonium') {
            $lift = max(0.0, ($bench->number('target_mg_l') ?? 0.0) - ($bench->number('tan_mg_l') ?? 0.0));

            return $workedOut === null || $workedOut <= 0 ? null : ($amount / $workedOut) * $lift;
        }
        if ($this->id === 'zeolite' || ($this->agent === null && $this->conflict !== 'salt')) {
            return null;
        }
        $strength = $bench->number('strength_pct');
        $share = match (true) {
            $strength === null => 1.0,
            $this->agent?->strengthPct !== null => $strength / $this->agent->strengthPct,
            default => $strength / 100,
        };

        // What the water itself takes of permanganate is gone within the quarter of an hour it was tested for.
        $demand = $this->agent?->id === 'potassium_permanganate' ? $bench->number('demand_mg_l') ?? 0.0 : 0.0;

        return max(0.0, ((1000 * $amount) / $volumeL) * $share - $demand);
    }

    /** @return list<self> */
    private static function forWater(Agent $salt): array
    {
        return [
            new self(
                'binder',
                'Ammonia binder',
                'For the water',
                new Bench(
                    'binder',
                    'Ammonia binder',
                    'dose.binder',
                    ['label_ml', 'label_treats_l', 'label_binds_mg_l', 'cap_ml', 'tan_mg_l'],
                    ['dose_ml' => ['Give', 'mL'], 'caps' => ['in caps', 'caps']],
                ),
                'binder',
            ),
            new self(
                'salt',
                'Salt',
                'For the water',
                new Bench(
                    'salt',
                    'Salt',
                    'dose.salt',
                    ['target_g_l', 'steps', 'hours', 'now_g_l'],
                    [
                        'step_g' => ['First step', 'g'],
                        'total_g' => ['In all', 'g'],
                        'light_g' => ['The light rule would be', 'g'],
                    ],
                ),
                'salt',
            ),
            new self(
                'chloride_guard',
                'Salt against nitrite',
                'For the water',
                new Bench(
                    'salt_guard',
                    'Salt against nitrite',
                    'dose.chloride_guard',
                    ['chloride_mg_l', 'no2_n_mg_l', 'ratio'],
                    [
                        'salt_g' => ['Salt', 'g'],
                        'salt_mg_l' => ['which is', 'mg/L'],
                        'light_g' => ['The light rule would be', 'g'],
                    ],
                ),
                'salt',
            ),
            new self(
                'salt_dip',
                'Salt dip, in a separate bath',
                'Treatments',
                new Bench(
                    'salt_dip',
                    'Salt dip',
                    'dose.treatment',
                    ['way', 'volume_l', 'dose_mg_l'],
                    [
                        'dose' => ['Give', 'g'],
                        'dose_mg_l' => ['which is', 'mg/L'],
                        'exposure_min' => ['for no longer than', 'min'],
                    ],
                    ['bath' => 'a bath', 'dip' => 'a dip'],
                    asked: ['way', 'volume_l'],
                ),
                'none',
                $salt,
                apart: true,
            ),
            new self(
                'zeolite',
                'Zeolite or resin charge',
                'For the water',
                new Bench(
                    'zeolite',
                    'Zeolite charge',
                    'dose.zeolite',
                    ['target_mg_l', 'capacity_mg_n_per_g', 'tan_mg_l', 'salinity_g_l', 'production_g_d'],
                    ['mass_g' => ['Charge', 'g'], 'lasts_d' => ['then full in', 'days']],
                ),
                'zeolite',
            ),
            new self(
                'bicarbonate',
                'Buffer for KH',
                'For the water',
                new Bench(
                    'buffer',
                    'Buffer for KH',
                    'carbonate.buffer',
                    [
                        'target_alkalinity_mg_l',
                        'agent',
                        'alkalinity_mg_l',
                        'ph',
                        'temp_c',
                        'tan_mg_l',
                        'nh3_limit_mg_l',
                        'max_step_mg_l',
                    ],
                    [
                        'step_g' => ['First step', 'g'],
                        'dose_g' => ['In all', 'g'],
                        'ph_after' => ['pH right after', ''],
                        'nh3_n_after_mg_l' => ['Un-ionised then', 'mg/L as N'],
                    ],
                    ['sodium_bicarbonate' => 'sodium bicarbonate', 'sodium_carbonate' => 'sodium carbonate (soda)'],
                    dangerRefuses: true,
                ),
                'bicarbonate',
            ),
            new self(
                'culture',
                'Bacterial culture',
                'For the water',
                new Bench(
                    'culture',
                    'Bacterial culture',
                    'dose.treatment',
                    ['label_ml', 'label_treats_l'],
                    ['dose' => ['Give', 'mL']],
                ),
                'culture',
            ),
            new self(
                'ammonium',
                'Ammonia for a fishless start',
                'For the water',
                new Bench(
                    'ammonium',
                    'Ammonia for a fishless start',
                    'filter.start_dose',
                    ['product', 'target_mg_l', 'strength_pct', 'tan_mg_l'],
                    ['dose_ml' => ['Give', 'mL'], 'dose_g' => ['Give', 'g']],
                    [
                        'ammonium_chloride' => 'ammonium chloride',
                        'ammonium_sulfate' => 'ammonium sulfate',
                        'ammonia_solution' => 'ammonia solution, unscented',
                    ],
                    asked: ['product', 'target_mg_l'],
                ),
                'ammonium',
            ),
            new self(
                'permanganate_demand',
                'Permanganate demand of the water',
                'In an emergency',
                new Bench(
                    'demand',
                    'Permanganate demand of the water',
                    'dose.permanganate_demand',
                    ['brown_mg_l', 'pink_mg_l', 'ph'],
                    ['demand_mg_l' => ['Demand', 'mg/L'], 'dose_mg_l' => ['so 2 mg/L above it is', 'mg/L']],
                ),
                'potassium_permanganate',
            ),
            new self(
                'peroxide_oxygen',
                'Peroxide for oxygen, the last resort',
                'In an emergency',
                new Bench(
                    'peroxide',
                    'Peroxide for oxygen',
                    'dose.peroxide_oxygen',
                    ['rise_mg_l', 'strength_pct', 'do_mg_l', 'temp_c'],
                    [
                        'product_g' => ['Give', 'g'],
                        'h2o2_mg_l' => ['which is peroxide', 'mg/L'],
                        'rise_mg_l' => ['Oxygen rises by', 'mg/L'],
                    ],
                ),
                'hydrogen_peroxide',
            ),
        ];
    }
}
