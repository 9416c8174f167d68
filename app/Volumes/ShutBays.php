<?php

declare(strict_types=1);

namespace App\Volumes;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Age;
use App\Models\FishGroup;
use App\Models\Line;
use App\Models\Pump;
use App\Models\ShutOff;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Readings\WaterMeaning;
use Illuminate\Support\Carbon;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\AllowedAmmonia;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Loop\PlaceKind;
use Ironwort\Core\Measure\Format;

/** The bays whose every line is shut: a body of water of their own, for doses as for time. */
final readonly class ShutBays
{
    public function __construct(
        private Registry $registry,
        private LimitsInForce $limits,
        private LoopSums $systems,
        private VolumeReport $volumes,
    ) {}

    /** @return list<Vessel> vessels that lines lead to, all of them shut */
    public static function vessels(System $system): array
    {
        return array_values(
            $system->vessels
                ->filter(static function (Vessel $vessel) use ($system): bool {
                    $lines = self::lines($system, $vessel);

                    return $lines !== [] &&
                        array_filter(
                            $lines,
                            static fn(Line $line): bool => $line->valve_open_pct === null || $line->valve_open_pct > 0,
                        ) === [];
                })
                ->all(),
        );
    }

    /** @return list<Line> what joins a vessel to its loop */
    public static function lines(System $system, Vessel $vessel): array
    {
        $at = static fn(Line $line): bool => ($line->from()->id === $vessel->id || $line->to()->id === $vessel->id) &&
            $line->to()->kind !== PlaceKind::Outside;

        return array_values($system->lines->filter($at)->all());
    }

    /**
     * The bodies of water doses are given to: the loop as it stands, then each bay shut off from it.
     *
     * @return list<array{vessel_id: ?string, name: string, volume_l: float}> one row where nothing is shut off
     */
    public function bodies(System $system): array
    {
        $whole = $this->volumes->inUse($system)->value;
        $built = $this->systems->volume($system)->value;
        $cut = self::vessels($system);
        $bodies = array_map(
            fn(Vessel $vessel): array => [
                'vessel_id' => $vessel->id,
                'name' => $vessel->name,
                'volume_l' => $built > 0 ? ($whole * $this->systems->vessel($vessel)->value) / $built : 0.0,
            ],
            $cut,
        );

        return [
            [
                'vessel_id' => null,
                'name' => $system->name,
                'volume_l' => $whole - array_sum(array_column($bodies, 'volume_l')),
            ],
            ...$bodies,
        ];
    }

    /**
     * How long each bay has been shut, and how long its fish may stay so.
     *
     * @return list<array<string, mixed>>
     */
    public function times(System $system, LatestWater $water): array
    {
        $rows = [];
        foreach (self::vessels($system) as $vessel) {
            $shut = $system->shutOffs->first(static fn(ShutOff $shutOff): bool => $shutOff->vessel_id === $vessel->id);
            $since = $shut instanceof ShutOff ? $shut->shut_at : $this->latestChange($system, $vessel);
            $body = array_values(
                array_filter(
                    $this->bodies($system),
                    static fn(array $body): bool => $body['vessel_id'] === $vessel->id,
                ),
            )[0];
            $limit = $this->limit($system, $vessel, $body['volume_l'], $water);
            $minutes = $limit->value > 0 ? $limit->value : null;
            $gone = $since->diffInMinutes(Carbon::now());
            $rows[] = [
                'vessel_id' => $vessel->id,
                'name' => $vessel->name,
                'volume_l' => $body['volume_l'],
                'since' => $since->toIso8601ZuluString(),
                'age' => Age::of($since),
                'minutes' => $minutes,
                'limit' => $minutes === null ? null : $limit->toArray(),
                'state' => match (true) {
                    $minutes === null => State::Watch->value,
                    $gone >= $minutes => State::Emergency->value,
                    $gone >= 0.5 * $minutes => State::Act->value,
                    default => State::Watch->value,
                },
            ];
        }

        return $rows;
    }

    /** Minutes until oxygen or ammonia decides; 0 where no fish set a limit. */
    private function limit(System $system, Vessel $vessel, float $volume, LatestWater $water): Figure
    {
        $temperature = $water->get(Parameter::Temperature)->value ?? 20.0;
        $ph = $water->get(Parameter::Ph)->value ?? 7.5;
        [$biomass, $whose] = $this->fish($system, $vessel);
        $whole = $this->systems->biomass($system)->value;
        $feed = $system->feed();
        $aired = $system->pumps->contains(
            static fn(Pump $pump): bool => $pump->running &&
                $pump->vessel_id === $vessel->id &&
                in_array($pump->kind, ['air', 'airlift'], true),
        );
        $allowed = AllowedAmmonia::of($this->limits->table($system), $system->life_stage, $ph, $temperature);
        $input = [
            'volume_l' => max(1.0, $volume),
            'biomass_kg' => $biomass,
            'feed_g_d' => $whole > 0 ? (($feed->feed_g_d ?? 0.0) * $biomass) / $whole : 0.0,
            'protein_pct' => $feed->protein_pct ?? 38.0,
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
        $read = static fn(Parameter $parameter, string $label, float $value): Origin => $water->get($parameter) === null
            ? new Origin($parameter->value, $label, Format::number($value, 3), 'assumed', 'assumed: never measured')
            : WaterMeaning::measured($water->get($parameter)->judged(), $water->get($parameter));

        return new Figure(
            "Time {$vessel->name} may stay shut off",
            is_float($minutes) ? $minutes : 0.0,
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
                $read(Parameter::Temperature, 'Temperature', $temperature),
                $read(Parameter::Ph, 'pH', $ph),
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
            self::lines($system, $vessel),
        );

        return $latest === [] ? Carbon::now() : Carbon::createFromTimestampUTC(max($latest));
    }
}
