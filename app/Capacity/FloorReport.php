<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\System;
use App\Models\Vessel;
use App\Readings\LimitsInForce;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Judge\School;

/** Bare floor, stones or gravel: what each would take of the ammonia here, and what it keeps of the dirt. */
final readonly class FloorReport
{
    private const TOPIC = 'floor';

    /** Bacteria on stones do as those on the walls of a chamber. */
    private const KIND = 'settlement';

    /** Enough of it comes by: flow is not what limits a floor. */
    private const FLOW_L_H = 1e6;

    public function __construct(private Registry $registry, private LimitsInForce $judging) {}

    /**
     * @param  float  $dirt  made a day, g dry
     * @return list<array{id: string, name: string, says: string, followed: bool, surface_m2: float, takes_g_d: float,
     *     keeps_g_d: float, o2_g_d: float}> none where no vessel holds fish
     */
    public function of(System $system, Conditions $conditions, float $dirt): array
    {
        $floor = $system->vessels->sum(function (Vessel $vessel): float {
            $area = $vessel->holdsFish()
                ? $this->registry->run('volume.vessel', $vessel->calculation())->figures['surface_m2']
                : null;

            return is_float($area) ? $area : 0.0;
        });
        $followed = $this->judging->following($system)->in(self::TOPIC);
        if ($floor <= 0) {
            return [];
        }

        return array_values(
            array_map(
                fn(School $school): array => [
                    'id' => $school->id,
                    'name' => $school->name,
                    'says' => $school->says,
                    'followed' => $school->id === $followed->id,
                    'surface_m2' => $school->figure('surface_m2_m2') * $floor,
                    'takes_g_d' => $this->takes($school->figure('surface_m2_m2') * $floor, $conditions),
                    'keeps_g_d' => $school->figure('keeps') * $dirt,
                    // A gram of feed makes about a quarter of a gram of dirt, which takes this much as it rots.
                    'o2_g_d' =>
                        ($school->figure('keeps') * $dirt * DailyLoad::DIRT_O2_G_G) / DailyLoad::SOLIDS_PER_FEED,
                ],
                $this->judging->topics()[self::TOPIC]->schools,
            ),
        );
    }

    private function takes(float $surface, Conditions $conditions): float
    {
        $values = $conditions->values;

        return $surface <= 0
            ? 0.0
            : $this->registry
                ->run('filter.capacity', [
                    'temp_c' => $values['temp_c'],
                    'ph' => $values['ph'],
                    'do_in_mg_l' => $values['do_mg_l'],
                    'tan_mg_l' => $values['tan_mg_l'],
                    'alkalinity_mg_l' => $values['alkalinity_mg_l'],
                    'stages' => [
                        [
                            'kind' => self::KIND,
                            'area_m2_m3' => $surface,
                            'media_l' => 1000.0,
                            'flow_l_h' => self::FLOW_L_H,
                            'maturity_pct' => 100.0,
                            'fouling_pct' => 0.0,
                        ],
                    ],
                ])
                ->number('total_g_d');
    }
}
