<?php

declare(strict_types=1);

namespace App\Fish;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\FeedFigure;
use App\Models\FishGroup;
use App\Models\System;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\RationTable;
use Ironwort\Core\Measure\Format;

/** What a system is fed a day by its plan: as set, or by the ration table for these fish at this temperature. */
final readonly class FeedPlan
{
    private const PURPOSES = [
        'fry' => 'growth',
        'grow_on' => 'growth',
        'quarantine' => 'light',
        'starting' => 'light',
    ];

    public function __construct(
        private Registry $registry,
        private SteadyWater $steady,
        private RationTable $rations,
    ) {}

    /** Mean of all days of the week in the water as it is, g/d: a ration goes by its steady temperature. */
    public function perDay(System $system, FeedFigure $plan, float $tempC): float
    {
        return $this->at($system, $plan, $plan->by_ration ? $this->steady->temperature($system, $tempC) : $tempC);
    }

    /** Mean of all days of the week at a temperature that is asked about, g/d. */
    public function at(System $system, FeedFigure $plan, float $tempC): float
    {
        $day = $plan->by_ration ? $this->rationAt($system, $tempC)->value : $plan->feed_g_d;

        return ($day * $plan->days_a_week) / 7;
    }

    /** Protein of the feed as fed, percent; moisture takes its share of a moist feed given by its dry matter. */
    public function protein(?FeedFigure $plan): float
    {
        return $plan === null
            ? 100 * DailyLoad::USUAL_PROTEIN
            : $plan->protein_pct * (1 - ($plan->moisture_pct ?? 0.0) / 100);
    }

    /** By the table for every group in the water as it is: its steady temperature. */
    public function ration(System $system, float $tempC): Figure
    {
        return $this->rationAt($system, $this->steady->temperature($system, $tempC));
    }

    /** Mean of all days of the week that one fish of a group gets by a plan that goes by ration, g/d. */
    public function perFish(System $system, FeedFigure $plan, FishGroup $group, float $tempC): float
    {
        $weight = Condition::weight($group->length_cm, $group->condition);
        $percent = $this->registry
            ->run('fish.ration', [
                'weight_g' => min(30000.0, max(0.01, $weight)),
                'temp_c' => $tempC,
                'purpose' => self::PURPOSES[$system->life_stage] ?? 'maintenance',
            ])
            ->number('ration_pct_bw_d');

        return ((($weight * $percent) / 100) * $plan->days_a_week) / 7;
    }

    /** What is fed at the steady temperature of the water, in a word or two. */
    public function kind(System $system, float $tempC): string
    {
        return $this->rations->kind($this->steady->temperature($system, $tempC));
    }

    /** By the table for every group at a temperature that is asked about, g/d. */
    public function rationG(System $system, float $tempC): float
    {
        return $this->rationAt($system, $tempC)->value;
    }

    private function rationAt(System $system, float $tempC): Figure
    {
        $purpose = self::PURPOSES[$system->life_stage] ?? 'maintenance';
        $parts = array_values(
            $system->fish
                ->map(function (FishGroup $group) use ($tempC, $purpose): Figure {
                    $weight = $this->registry->run('fish.weight', $group->calculation())->number('weight_g');
                    $input = [
                        'weight_g' => min(30000.0, max(0.01, $weight)),
                        'temp_c' => $tempC,
                        'purpose' => $purpose,
                    ];
                    $percent = $this->registry->run('fish.ration', $input)->number('ration_pct_bw_d');

                    return new Figure(
                        $group->name,
                        ($group->count * $weight * $percent) / 100,
                        'g/d',
                        parts: [
                            new Figure(
                                'Ration',
                                $percent,
                                '% of body weight a day',
                                'fish.ration',
                                'ration_pct_bw_d',
                                $input,
                                [
                                    new Origin(
                                        'weight_g',
                                        'Weight',
                                        Format::number($weight, 3) . ' g',
                                        'build',
                                        "mean of {$group->name}",
                                    ),
                                    new Origin(
                                        'temp_c',
                                        'Temperature',
                                        Format::number($tempC, 3) . ' °C',
                                        'computed',
                                        'the lower of the mean of the last seven days and now',
                                    ),
                                ],
                            ),
                        ],
                        say: "{$group->count} fish of " . Format::number($weight, 3) . ' g.',
                    );
                })
                ->all(),
        );

        return new Figure(
            'Ration by the table',
            array_sum(array_map(static fn(Figure $part): float => $part->value, $parts)),
            'g/d',
            parts: $parts,
            say: 'Weight of every group times its ration at this temperature.',
        );
    }
}
