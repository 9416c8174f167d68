<?php

declare(strict_types=1);

namespace App\Service;

use App\Build\RefillOf;
use App\Capacity\FilterReport;
use App\Expected\Residuals;
use App\Models\AirOutlet;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\WaterBodies;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Service\Job;
use Ironwort\Core\Service\LessAir;
use Ironwort\Core\Service\Setting;

/** A part where it stands in its loop, as the steps of a run are told for it. */
final readonly class SettingOf
{
    /** Entry and exit of a pipe, the least that holds water back. */
    private const IN_AND_OUT_K = 1.5;

    public function __construct(
        private Registry $registry,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private FilterReport $filter,
        private LimitsInForce $limits,
    ) {}

    /** @param  ?Job  $job  for a run of it; what only its steps need is worked out then */
    public function part(System $system, LatestWater $water, ServicedPart $part, ?Job $job = null): Setting
    {
        $stage = $part->part instanceof Stage ? $part->part : null;
        $chamber = $stage->chamber_id ?? $part->id;
        $waste = $system->lines->first(
            static fn(Line $line): bool => $line->from()->id === $chamber && $line->to()->id === '',
        );
        $whole = $job?->big() === true;
        $moves = $whole || $part->kind === 'stage' || ($part->part instanceof Pump && $part->part->circulates());
        $pumps = $system->pumps->filter(
            static fn(Pump $pump): bool => $moves &&
                $pump->circulates() &&
                $pump->running &&
                ($whole || $part->kind === 'stage' || $pump->id === $part->id),
        );
        $air = $system->airOutlets->first(static fn(AirOutlet $one): bool => $one->stage_id === $part->id);
        $alone = $part->part instanceof Pump && !$part->part->circulates();

        return new Setting(
            name: $part->name,
            pumps: self::names($pumps),
            dryPumps: array_values(
                $pumps
                    ->filter(static fn(Pump $pump): bool => (float) $pump->above_mm > 0)
                    ->map(static fn(Pump $pump): string => $pump->name)
                    ->all(),
            ),
            lamps: $moves
                ? self::names(
                    $system->stages->filter(
                        static fn(Stage $one): bool => $one->kind === 'uv' && $one->lamp_state !== 'off',
                    ),
                )
                : [],
            heaters: $moves
                ? self::names(
                    $system->pumps->filter(static fn(Pump $one): bool => $one->kind === 'heater' && $one->running),
                )
                : [],
            valves: self::valves($system, $chamber),
            layers: $stage === null
                ? []
                : array_values(
                    $system->stages
                        ->where('chamber_id', $stage->id)
                        ->map(static fn(Stage $one): string => $one->name)
                        ->all(),
                ),
            returns: $moves || $part->kind === 'system' ? self::returns($system) : [],
            waste: $waste?->name,
            wasteLS: $waste === null ? null : $this->carries($waste, $water),
            waterL: $stage?->water_l,
            air: $air?->name,
            fishAir: $air !== null &&
                $system->airOutlets->where('pump_id', $air->pump_id)->whereNotNull('vessel_id')->isNotEmpty(),
            inWater: $this->inWater($system),
            drainsTo: $waste?->leads_to,
            selfId: $alone || $stage?->kind === 'uv' ? $part->id : null,
            refill: RefillOf::system($system),
            lessAir: $job?->steps === 'stir' && $air !== null ? $this->lessAir($system, $water, $air) : null,
        );
    }

    private function lessAir(System $system, LatestWater $water, AirOutlet $air): ?LessAir
    {
        foreach ($this->filter->ledAway($system, $water) as $one) {
            if ($one->outlet->is($air)) {
                return new LessAir(
                    $one->afterMgL,
                    $one->settles->value,
                    $this->limits->for($system, Parameter::Oxygen)->below?->watch,
                );
            }
        }

        return null;
    }

    /**
     * @param  iterable<Pump|Stage>  $parts
     * @return array<string, string> names by key
     */
    private static function names(iterable $parts): array
    {
        $names = [];
        foreach ($parts as $part) {
            $names[$part->id] = $part->name;
        }

        return $names;
    }

    /** @return list<string> lines whose valves shut water off from it */
    private static function valves(System $system, string $chamber): array
    {
        return array_values(
            $system->lines
                ->filter(
                    static fn(Line $line): bool => $line->to()->id === $chamber &&
                        $line->valve_open_pct !== null &&
                        $line->three_way_id === null,
                )
                ->map(static fn(Line $line): string => $line->name)
                ->all(),
        );
    }

    /** @return list<string> */
    private static function returns(System $system): array
    {
        return array_values(
            $system->lines
                ->filter(
                    static fn(Line $line): bool => $line->to_vessel_id !== null &&
                        $line->from_vessel_id === null &&
                        $line->valve_open_pct !== 0.0,
                )
                ->map(static fn(Line $line): string => $line->name)
                ->all(),
        );
    }

    /** L/s that a waste carries with its valve open; null until its fall is known. */
    private function carries(Line $waste, LatestWater $water): ?float
    {
        return $waste->fall_mm === null
            ? null
            : $this->registry
                ->run('service.flush', [
                    'head_m' => $waste->fall_mm / 1000,
                    'bore_mm' => $waste->bore_mm,
                    'length_m' => $waste->length_m,
                    'fittings_k' => self::IN_AND_OUT_K,
                    'seconds' => 1,
                    'temp_c' => $water->valueOrAssumed(Parameter::Temperature),
                ])
                ->number('flow_l_s');
    }

    /** @return list<string> salt and treatments that stand in the water */
    private function inWater(System $system): array
    {
        $names = [];
        foreach ($this->bodies->all($system) as $body) {
            array_push($names, ...array_column($this->residuals->now($system, $body), 'name'));
        }

        return array_values(array_unique(array_map(lcfirst(...), $names)));
    }
}
