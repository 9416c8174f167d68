<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Fish\FeedPlan;
use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Measure\Format;

/** The ammonia that fish and feed give a system to carry: the one figure every page shows of it. */
final readonly class SystemLoad
{
    public function __construct(
        private Registry $registry,
        private LoopSums $systems,
        private LimitsInForce $limits,
        private FeedPlan $feed,
    ) {}

    /** As the book stands. */
    public function now(System $system, LatestWater $water): Figure
    {
        return $this->figure($system, $this->conditions($system, $water, []), CapacityWhatIf::read($system, []));
    }

    /**
     * @param  array<string, string>  $typed  by canonical key, as typed; empty where nothing was typed
     *
     * @throws BadInput
     */
    public function conditions(System $system, LatestWater $water, array $typed): Conditions
    {
        return new Conditions($system, $water, $this->limits->table($system), $this->feed, $typed);
    }

    /** What the fish give under conditions that may be typed, with what is asked about. */
    public function figure(System $system, Conditions $conditions, CapacityWhatIf $whatIf): Figure
    {
        $biomass = $this->systems->biomass($system)->value;
        $added = $whatIf->fishKg();
        $plan = $system->feed();
        $input = [
            'biomass_kg' => max(0.0, $biomass + $added),
            'feed_g_d' => max(
                0.0,
                $conditions->values['feed_g_d'] +
                    ($biomass > 0 ? $conditions->values['feed_g_d'] / $biomass : 10.0) * $added,
            ),
            'protein_pct' => $conditions->values['protein_pct'],
            'temp_c' => $conditions->values['temp_c'],
            ...array_filter(
                ['digestibility_pct' => $plan?->digestibility_pct, 'uneaten_pct' => $plan?->uneaten_pct],
                static fn(?float $value): bool => $value !== null && $value > 0,
            ),
        ];
        $origins = [
            new Origin(
                'biomass_kg',
                'Weight of all fish',
                Format::number($input['biomass_kg'], 3) . ' kg',
                'computed',
                $added === 0.0 ? 'count × weight of every group' : 'with the fish of this what-if',
            ),
            $conditions->origins['feed_g_d'],
            $conditions->origins['protein_pct'],
            $conditions->origins['temp_c'],
        ];

        return new Figure(
            'Load',
            $this->registry->run('fish.load', $input)->number('tan_g_d'),
            'g N/d',
            'fish.load',
            'tan_g_d',
            $input,
            $origins,
        );
    }
}
