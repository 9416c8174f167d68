<?php

declare(strict_types=1);

namespace App\Running;

use App\Fish\FeedPlan;
use App\Living\BookStop;
use App\Models\Pump;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Flow\PumpOff;
use Ironwort\Core\Judge\Parameter;

/** How long a system may stand without flow, with so much of its water let out: its fish, and its filter. */
final readonly class WithoutFlow
{
    public function __construct(
        private Registry $registry,
        private LoopSums $systems,
        private FeedPlan $feed,
        private VolumeReport $volumes,
        private LimitsInForce $judging,
        private BookStop $filter,
    ) {}

    /** @return list<string> what its answer rests on and nobody measured */
    public static function assumes(LatestWater $water): array
    {
        $missing = array_filter(
            [Parameter::Temperature, Parameter::Ph],
            static fn(Parameter $parameter): bool => $water->get($parameter) === null,
        );

        return array_values(
            array_map(
                static fn(Parameter $parameter): string => $parameter->name() . ' ' . $water->origin($parameter)->text,
                $missing,
            ),
        );
    }

    public function of(System $system, LatestWater $water, float $drained = 0.0): PumpOff
    {
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $plan = $system->feed();
        $biomass = $this->systems->biomass($system)->value;
        if ($biomass <= 0) {
            return PumpOff::of(null, null, $this->filter->mayStandMin($system));
        }
        $volume = $this->volumes->inUse($system)->value;
        $oxygen = $water->get(Parameter::Oxygen)?->value;
        $aired = array_filter(
            $system->devices(),
            static fn(Pump $pump): bool => $pump->kind === 'air' && $pump->runsFor($system),
        );
        $result = $this->registry->run('fish.shut_off', [
            'volume_l' => max(0.1 * $volume, $volume - $drained, 1.0),
            'biomass_kg' => $biomass,
            'feed_g_d' => $plan === null ? 0.0 : $this->feed->perDay($system, $plan, $temp),
            'protein_pct' => $this->feed->protein($plan),
            'temp_c' => $temp,
            'aired' => $aired === [] ? 'no' : 'yes',
            'tan_mg_l' => $water->get(Parameter::Ammonia)->value ?? 0.0,
            'ph' => $water->valueOrAssumed(Parameter::Ph),
            'nh3_limit_mg_l' => $this->judging->for($system, Parameter::UnionisedAmmonia)->above->act ?? 0.05,
            ...$oxygen === null ? [] : ['do_mg_l' => $oxygen],
        ]);
        $minutes = $result->figures['minutes'];
        $by = $result->figures['decides'];

        return PumpOff::of(
            is_numeric($minutes) ? (float) $minutes : null,
            is_string($by) ? $by : null,
            $this->filter->mayStandMin($system),
        );
    }
}
