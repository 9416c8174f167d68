<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\FishGroup;
use App\Models\Line;
use App\Models\Pump;
use App\Models\ShutOff;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use Illuminate\Support\Carbon;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** How long each bay that is shut off has been so, and how long its fish may stay. */
final readonly class ShutOffTimes
{
    public function __construct(
        private Registry $registry,
        private LimitsInForce $limits,
        private LoopSums $systems,
        private WaterBodies $bodies,
    ) {}

    /**
     * How long each bay has been shut, and how long its fish may stay so.
     *
     * @return list<ShutOffTime>
     */
    public function times(System $system, LatestWater $water): array
    {
        $rows = [];
        foreach (WaterBodies::shut($system) as $vessel) {
            $shut = $system->shutOffs->first(static fn(ShutOff $shutOff): bool => $shutOff->vessel_id === $vessel->id);
            $since = $shut instanceof ShutOff ? $shut->shut_at : $this->latestChange($system, $vessel);
            $volume = $this->bodies->find($system, $vessel->id)->volumeL;
            $rows[] = new ShutOffTime(
                $vessel->id,
                $vessel->name,
                $volume,
                $since,
                $this->limit($system, $vessel, $volume, $water),
            );
        }

        return $rows;
    }

    /** Minutes until oxygen or ammonia decides, 0 where the water is past it already; null where no fish are in it. */
    private function limit(System $system, Vessel $vessel, float $volume, LatestWater $water): ?Figure
    {
        $temperature = $water->valueOrAssumed(Parameter::Temperature);
        $ph = $water->valueOrAssumed(Parameter::Ph);
        [$biomass, $whose] = $this->fish($system, $vessel);
        $whole = $this->systems->biomass($system)->value;
        $feed = $system->feed();
        $aired = $system->pumps->contains(
            static fn(Pump $pump): bool => $pump->running &&
                $pump->vessel_id === $vessel->id &&
                in_array($pump->kind, ['air', 'airlift'], true),
        );
        $allowed = AllowedAmmonia::of($this->limits->table($system), $system->judgedAs(), $ph, $temperature);
        $input = [
            'volume_l' => max(1.0, $volume),
            'biomass_kg' => $biomass,
            'feed_g_d' => $whole > 0 ? (($feed->feed_g_d ?? 0.0) * $biomass) / $whole : 0.0,
            'protein_pct' => $feed->protein_pct ?? 100 * DailyLoad::USUAL_PROTEIN,
            'temp_c' => $temperature,
            'ph' => $ph,
            'tan_mg_l' => $water->get(Parameter::Ammonia)->value ?? 0.0,
            'aired' => $aired ? 'yes' : 'no',
            'nh3_limit_mg_l' => $allowed->unionisedLimit,
        ];
        $oxygen = $water->get(Parameter::Oxygen);
        if ($oxygen !== null) {
            $input['do_mg_l'] = $oxygen->value;
        }
        $minutes = $this->registry->run('fish.shut_off', $input)->figures['minutes'];
        if (!is_numeric($minutes)) {
            return null;
        }

        return new Figure(
            "Time {$vessel->name} may stay shut off",
            (float) $minutes,
            'min',
            'fish.shut_off',
            'minutes',
            $input,
            [
                new Origin(
                    'volume_l',
                    'Volume',
                    Format::number($volume, 4) . ' L',
                    'computed',
                    "the share of {$vessel->name}",
                ),
                new Origin(
                    'biomass_kg',
                    'Fish',
                    Format::number($biomass, 3) . ' kg',
                    $whose === null ? 'build' : 'assumed',
                    $whose ?? 'the groups kept in this bay',
                ),
                new Origin(
                    'aired',
                    'Its own air',
                    $aired ? 'runs' : 'none',
                    'build',
                    'an air pump that stands in this bay',
                ),
                $water->origin(Parameter::Temperature),
                $water->origin(Parameter::Ph),
            ],
        );
    }

    /** @return array{float, ?string} kg, and why it is assumed */
    private function fish(System $system, Vessel $vessel): array
    {
        if ($system->fish->contains(static fn(FishGroup $group): bool => $group->vessel_id !== null)) {
            return [
                $system->fish
                    ->filter(static fn(FishGroup $group): bool => $group->vessel_id === $vessel->id)
                    ->sum(fn(FishGroup $group): float => $this->systems->group($group)->value),
                null,
            ];
        }
        $homes = $system->vessels
            ->filter(static fn(Vessel $candidate): bool => $candidate->holdsFish())
            ->sum(fn(Vessel $candidate): float => $this->systems->vessel($candidate)->value);
        $share = $vessel->holdsFish() && $homes > 0 ? $this->systems->vessel($vessel)->value / $homes : 0.0;

        return [
            $share * $this->systems->biomass($system)->value,
            'assumed: shared out by volume, as no group names its bay',
        ];
    }

    private function latestChange(System $system, Vessel $vessel): Carbon
    {
        $latest = array_map(
            static fn(Line $line): int => $line->updated_at->getTimestamp(),
            WaterBodies::lines($system, $vessel),
        );

        return $latest === [] ? Carbon::now() : Carbon::createFromTimestampUTC(max($latest));
    }
}
