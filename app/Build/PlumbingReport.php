<?php

declare(strict_types=1);

namespace App\Build;

use App\Forms\Figure;
use App\Forms\Origin;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\Switching;
use App\Models\System;
use App\Models\Vessel;
use App\Models\WaterSource;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\ShutOffTime;
use App\Volumes\ShutOffTimes;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Flow\Valve;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Loop\Current;
use Ironwort\Core\Loop\Junction;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Place;
use Ironwort\Core\Loop\StageCheck;
use Ironwort\Core\Loop\Turnover;
use Ironwort\Core\Loop\VesselCheck;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** Where the water of a system goes and how much: every line, stage and pump as built, solved together. */
final readonly class PlumbingReport
{
    /** Entry and exit of a pipe, the least that holds water back. */
    private const IN_AND_OUT_K = 1.5;

    private const FLUSH_S = 10;

    private const SAME_FLOW = 0.01;

    public function __construct(
        private BuiltLoop $built,
        private ShutOffTimes $shutOff,
        private WaterBodies $bodies,
        private LoopSums $systems,
        private VolumeReport $volumes,
        private Registry $registry,
        private LimitsInForce $judging,
        private LevelWhileRunning $level,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $temperature = $water->valueOrAssumed(Parameter::Temperature);
        $loop = $this->built->of($system, $temperature);
        $volume = $this->volumes->inUse($system)->value;
        $answer = [
            'temp_c' => $temperature,
            'flows_differ' => false,
            'temp_assumed' => $water->get(Parameter::Temperature) === null,
            'volume_l' => $volume,
            'trouble' => null,
            'cautions' => self::filled($system),
        ];
        $flow = null;
        if (self::moves($loop)) {
            try {
                $flow = LoopFlow::of($loop);
                $slow =
                    $volume > 0
                        ? Turnover::check(
                            $system->kind,
                            $this->judging->following($system),
                            $flow->returned() / $volume,
                            ($flow->returned() + self::circulated($system)) / $volume,
                        )
                        : [];
                array_push(
                    $answer['cautions'],
                    ...array_map(static fn(Caution $caution): array => $caution->toArray(), [
                        ...LoopCheck::of($loop, $flow),
                        ...$slow,
                    ]),
                );
            } catch (UnsolvableNetwork $unsolvable) {
                $answer['trouble'] = $unsolvable->getMessage();
            }
        }
        $returned = $flow?->returned();
        $answer['flows_differ'] = $flow !== null && self::differ($system, $flow);
        $cut = array_map(static fn(Vessel $vessel): string => $vessel->id, WaterBodies::shut($system));

        return [
            ...$answer,
            'flow_l_h' => $returned,
            'turnover' => $returned === null || $volume <= 0 ? null : $this->turnover($volume, $returned)->toArray(),
            'circulation_l_h' => self::circulated($system),
            'circulation' =>
                $volume <= 0 || self::circulated($system) <= 0
                    ? null
                    : $this->circulation($volume, self::circulated($system))->toArray(),
            'power_w' => ($power = $system->pumps->sum(
                static fn(Pump $pump): float => $pump->running ? $pump->power_w : 0.0,
            )),
            'kwh_d' => 0.024 * $power,
            'cost_d' => $system->site->price_per_kwh === null ? null : 0.024 * $power * $system->site->price_per_kwh,
            'lines' => array_map(
                fn(Line $line, LoopLine $built): array => $this->line($line, $built, $flow, $temperature),
                array_values($system->lines->all()),
                $loop->lines,
            ),
            'stages' => array_values(
                $system->stages->map(fn(Stage $stage): array => $this->stage($stage, $loop, $flow, $volume))->all(),
            ),
            'pumps' => array_values(
                $system->pumps->map(fn(Pump $pump): array => $this->pump($pump, $loop, $flow))->all(),
            ),
            'vessels' => array_map(
                fn(Vessel $vessel, LoopVessel $built): array => $this->vessel(
                    $vessel,
                    $built,
                    $loop,
                    $flow,
                    in_array($vessel->id, $cut, true),
                ),
                array_values($system->vessels->all()),
                $loop->vessels,
            ),
            'level' => $flow === null ? null : $this->level->of($system, $water),
            'junctions' => array_map(
                static fn(Junction $one): array => ['id' => $one->id, 'name' => $one->name],
                $loop->junctions,
            ),
            'air' => AirReport::of($system),
            'network' => $flow?->rows,
            'shut_off' => array_map(
                static fn(ShutOffTime $time): array => $time->toArray(),
                $this->shutOff->times($system, $water),
            ),
            'bodies' => array_map(static fn(WaterBody $body): array => $body->toArray(), $this->bodies->all($system)),
        ];
    }

    /**
     * What really flows through every stage; null where the loop has no answer.
     *
     * @return list<array{id: string, flow_l_h: ?float}>
     */
    public function stageFlows(System $system, LatestWater $water): array
    {
        $loop = $this->built->of($system, $water->valueOrAssumed(Parameter::Temperature));
        try {
            $flow = self::moves($loop) ? LoopFlow::of($loop) : null;
        } catch (UnsolvableNetwork) {
            $flow = null;
        }

        return array_values(
            $system->stages
                ->map(
                    static fn(Stage $stage): array => [
                        'id' => $stage->id,
                        'flow_l_h' => $flow === null ? null : abs($flow->stageFlow($stage->id)),
                    ],
                )
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private function line(Line $line, LoopLine $built, ?LoopFlow $flow, float $temperature): array
    {
        $place = static fn(Place $place): array => ['kind' => $place->kind->value, 'id' => $place->id];
        $litres = $flow?->lineFlow($line->id);

        return [
            'id' => $line->id,
            'name' => $line->name,
            'from' => $place($line->from()),
            'to' => $place($line->to()),
            'bore_mm' => $line->bore_mm,
            'length_m' => $line->length_m,
            'fittings_k' => $built->fittingsK,
            'valve_open_pct' => $line->valve_open_pct,
            'flow_l_h' => $litres,
            'velocity_m_s' => $flow?->lineVelocity($built),
            'ask' => $flow !== null && $built->open() && !$built->overflow ? $flow->asked('line', $line->id) : null,
            'overflow' => $built->overflow,
            'three_way' => $line->three_way_id !== null,
            'flush' => $built->waste ? $this->flush($line, $built, $temperature)?->toArray() : null,
            'drop' =>
                $litres === null || abs($litres) < 1
                    ? null
                    : $this->drop($line, $built, abs($litres), $temperature)->toArray(),
        ];
    }

    /** What a waste takes in ten seconds with its valve open; null until its fall is known. */
    private function flush(Line $line, LoopLine $built, float $temperature): ?Figure
    {
        if ($line->fall_mm === null) {
            return null;
        }
        $input = [
            'head_m' => $line->fall_mm / 1000,
            'bore_mm' => $line->bore_mm,
            'length_m' => $line->length_m,
            'fittings_k' => max(self::IN_AND_OUT_K, $built->fittingsK),
            'seconds' => self::FLUSH_S,
            'temp_c' => $temperature,
        ];
        $result = $this->registry->run('service.flush', $input);

        return new Figure(
            label: "A flush by {$line->name}, ten seconds",
            value: $result->number('litres'),
            unit: 'L',
            calc: 'service.flush',
            key: 'litres',
            input: $input,
            origins: [
                new Origin(
                    'head_m',
                    'Falls by',
                    Format::number($line->fall_mm / 1000) . ' m',
                    'build',
                    "from the build of {$line->name}",
                ),
            ],
            say: Format::number($result->number('flow_l_s'), 2) . ' L a second while its valve is open.',
        );
    }

    /** What the line loses, as the one calculation that any line can be opened to. */
    private function drop(Line $line, LoopLine $built, float $litres, float $temperature): Figure
    {
        $valve = $line->valve_open_pct === null ? 0.0 : (float) Valve::k($line->valve_open_pct);
        $input = [
            'flow_l_h' => $litres,
            'bore_mm' => $line->bore_mm,
            'length_m' => $line->length_m,
            'fittings_k' => $built->fittingsK + $valve,
            'temp_c' => $temperature,
        ];

        return new Figure(
            "Drop along {$line->name}",
            $this->registry->run('flow.gravity', $input)->number('level_drop_mm'),
            'mm',
            'flow.gravity',
            'level_drop_mm',
            $input,
            [
                new Origin(
                    'flow_l_h',
                    'Flow',
                    Format::number($litres, 5) . ' L/h',
                    'computed',
                    'solved with the whole loop',
                ),
                new Origin(
                    'bore_mm',
                    'Bore',
                    Format::number($line->bore_mm) . ' mm',
                    'build',
                    "from the build of {$line->name}",
                ),
                new Origin(
                    'length_m',
                    'Length',
                    Format::number($line->length_m) . ' m',
                    'build',
                    "from the build of {$line->name}",
                ),
                new Origin(
                    'fittings_k',
                    'Fittings',
                    'K ' . Format::number($built->fittingsK + $valve, 3),
                    'build',
                    $valve > 0
                        ? 'sum of its fittings, and its valve at ' .
                            Format::number((float) $line->valve_open_pct) .
                            ' %'
                        : 'sum of its fittings',
                ),
                new Origin('roughness_mm', 'Wall', '0.0015 mm', 'assumed', 'assumed: smooth plastic'),
            ],
        );
    }

    /** What a lamp gives the water that passes it now; null until its watts and both days are known. */
    private function uv(Stage $stage, float $litres, float $volume): ?Figure
    {
        if (
            $stage->lamp_w === null ||
            $stage->lamp_fitted_on === null ||
            $stage->sleeve_wiped_on === null ||
            $stage->lamp_state === 'off' ||
            $volume < 1
        ) {
            return null;
        }
        $hours = Switching::ranHours($stage->id, $stage->lamp_state, $stage->lamp_fitted_on);
        $days = max(0.0, floor($stage->sleeve_wiped_on->diffInDays(now())));
        $input = [
            'lamp_w' => $stage->lamp_w,
            'lamp_hours' => $hours,
            'days_since_wiped' => $days,
            'flow_l_h' => $litres,
            'volume_l' => $volume,
        ];
        $result = $this->registry->run('flow.uv', $input);
        if ($result->figures['dose_mj_cm2'] === null) {
            return null;
        }
        $enough = match (true) {
            $result->figures['dose_touches_parasites'] === true && $result->figures['touches_parasites'] === true
                => 'enough to start working on parasites, by rule and by dose',
            $result->figures['touches_parasites'] === true
                => 'enough for parasites by rule, too little by dose: slow the flow',
            $result->figures['clears_algae'] === true => 'enough against green water',
            default => 'too little even for green water',
        };

        return new Figure(
            label: "UV dose of {$stage->name}",
            value: $result->number('dose_mj_cm2'),
            unit: 'mJ/cm²',
            calc: 'flow.uv',
            key: 'dose_mj_cm2',
            input: $input,
            origins: [
                new Origin(
                    'lamp_w',
                    'Lamp',
                    Format::number($stage->lamp_w) . ' W',
                    'build',
                    "from the build of {$stage->name}",
                ),
                new Origin(
                    'lamp_hours',
                    'Burnt',
                    Format::number($hours, 5) . ' h',
                    'computed',
                    'by its switching since it was fitted on ' . $stage->lamp_fitted_on->format('j M Y'),
                ),
                new Origin(
                    'days_since_wiped',
                    'Sleeve wet',
                    Format::number($days) . ' days',
                    'computed',
                    'wiped ' . $stage->sleeve_wiped_on->format('j M Y'),
                ),
                new Origin(
                    'flow_l_h',
                    'Flow',
                    Format::number($litres, 5) . ' L/h',
                    'computed',
                    'solved with the whole loop',
                ),
                new Origin(
                    'transmittance_pct',
                    'Water lets through',
                    '85 % per cm',
                    'assumed',
                    'assumed: clear pond water',
                ),
            ],
            say: Format::number($result->number('w_per_m3'), 2) . " W/m³ as it burns now: {$enough}.",
        );
    }

    /** What circulators move within the vessels, L/h. */
    private static function circulated(System $system): float
    {
        return $system->pumps->sum(static fn(Pump $pump): float => $pump->running ? (float) $pump->rated_l_h : 0.0);
    }

    /** How often circulators move the volume of the loop. */
    private function circulation(float $volume, float $flow): Figure
    {
        $input = ['volume_l' => $volume, 'flow_l_h' => $flow];

        return new Figure(
            'Moved by circulators',
            $flow / $volume,
            'volumes an hour',
            'flow.turnover',
            'turnovers_per_h',
            $input,
            [
                new Origin(
                    'flow_l_h',
                    'Flow',
                    Format::number($flow, 5) . ' L/h',
                    'build',
                    'as the running ones are rated',
                ),
            ],
        );
    }

    private function turnover(float $volume, float $flow): Figure
    {
        $input = ['volume_l' => $volume, 'flow_l_h' => $flow];

        return new Figure('Turnover', $flow / $volume, 'times an hour', 'flow.turnover', 'turnovers_per_h', $input, [
            new Origin(
                'volume_l',
                'Volume',
                Format::number($volume, 5) . ' L',
                'computed',
                'the volume used for doses',
            ),
            new Origin(
                'flow_l_h',
                'Flow',
                Format::number($flow, 5) . ' L/h',
                'computed',
                'flow of all returns, solved with the whole loop',
            ),
        ]);
    }

    /** Whether Capacity goes by other flows than the loop gives; warmth alone moves them by less. */
    private static function differ(System $system, LoopFlow $flow): bool
    {
        return $system->stages->contains(
            static fn(Stage $stage): bool => abs(abs($flow->stageFlow($stage->id)) - $stage->flow_l_h) >
                self::SAME_FLOW * max(1.0, $stage->flow_l_h),
        );
    }

    private static function lampAfter(Loop $loop, Stage $stage): ?bool
    {
        foreach ($loop->stages as $built) {
            if ($built->id === $stage->id) {
                return StageCheck::lampAfter($loop, $built);
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private function stage(Stage $stage, Loop $loop, ?LoopFlow $flow, float $volume): array
    {
        $litres = $flow === null ? null : abs($flow->stageFlow($stage->id));
        $level = $flow?->stageLevel($stage->id);

        return [
            'id' => $stage->id,
            'name' => $stage->name,
            'kind' => $stage->kind,
            'branch' => $stage->branch,
            'flow_l_h' => $litres,
            'ask' => $flow?->asked('stage', $flow->chamberOf($stage->id)),
            'ask_level' => $stage->chamber_id === null ? $flow?->lowestPoint($stage->id) : null,
            'chamber_id' => $stage->chamber_id,
            'press_m' => $stage->under_pressure ? $flow?->headInto($stage->id) : null,
            'may_press_m' => $stage->may_press_m,
            'bypassed' => $stage->bypassed,
            'lamp_after' => $stage->kind === 'uv' ? self::lampAfter($loop, $stage) : null,
            'vessel_id' => $stage->vessel_id,
            'residence_min' =>
                $litres === null || $litres < 1 || $stage->water_l === null ? null : (60 * $stage->water_l) / $litres,
            'rises_m_h' => $litres === null || $stage->plan_m2 === null ? null : $litres / 1000 / $stage->plan_m2,
            'reckoned_l_h' => $stage->flow_l_h,
            // A closed stage has a pressure and no level to look at.
            'level_mm' =>
                $level === null || ($stage->rim_mm === null && $stage->may_drop_mm === null) ? null : 1000 * $level,
            'spare_mm' => $level === null || $stage->may_drop_mm === null ? null : $stage->may_drop_mm + 1000 * $level,
            'rim_mm' => $stage->rim_mm,
            'uv' => $litres === null ? null : $this->uv($stage, $litres, $volume)?->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    private function vessel(Vessel $vessel, LoopVessel $built, Loop $loop, ?LoopFlow $flow, bool $cut): array
    {
        $rise = $flow?->riseOverLip($built);
        $perCm =
            $vessel->may_fall_mm === null
                ? null
                : $this->registry->run('volume.vessel', $vessel->calculation())->figures['per_cm_l'];

        return [
            'id' => $vessel->id,
            'name' => $vessel->name,
            'kind' => $vessel->kind,
            'holds_fish' => $vessel->holdsFish(),
            'volume_l' => $this->systems->vessel($vessel)->value,
            'level_mm' => $vessel->level_mm,
            'rise_mm' => $rise === null ? null : 1000 * $rise,
            'may_fall_mm' => $vessel->may_fall_mm,
            'may_lose_l' => is_float($perCm) ? ($perCm * (float) $vessel->may_fall_mm) / 10 : null,
            'shut_off' => $cut,
            'stagnant' => $flow === null ? null : VesselCheck::stagnant($loop, $built),
            'current_cm_s' =>
                ($current = $flow === null ? null : Current::of($loop, $flow, $built)) === null
                    ? null
                    : 100 * $current->metresS,
            'current_lengths_s' => $current?->lengths($built),
        ];
    }

    /** Whether there is anything to follow: a line, or a pump that stands in the water it moves. */
    private static function moves(Loop $loop): bool
    {
        return $loop->lines !== [] ||
            array_filter($loop->pumps, static fn(LoopPump $pump): bool => $pump->insideVessel !== null) !== [];
    }

    /** @return array<string, mixed> */
    private function pump(Pump $pump, Loop $loop, ?LoopFlow $flow): array
    {
        $built =
            array_values(
                array_filter($loop->pumps, static fn(LoopPump $candidate): bool => $candidate->id === $pump->id),
            )[0] ?? null;

        return [
            'id' => $pump->id,
            'name' => $pump->name,
            'kind' => $pump->kind,
            'running' => $pump->running,
            'circuit' => $pump->circuit,
            'power_w' => $pump->power_w,
            'kwh_d' => $pump->running ? 0.024 * $pump->power_w : 0.0,
            'flow_l_h' => $built === null ? ($pump->running ? $pump->rated_l_h : 0.0) : $flow?->pumpFlow($pump->id),
            'head_m' => $built === null ? null : $flow?->pumpHead($built),
            'ask' => $built === null || !$built->on ? null : $flow?->asked('pump', $pump->id),
            'vessel_id' => $pump->vessel_id,
            'air_l_min' => $pump->air_l_min,
        ];
    }

    /** @return list<array<string, mixed>> a float valve that lets chlorine in, with nobody by */
    private static function filled(System $system): array
    {
        $vessel = $system->vessels->first(static fn(Vessel $one): bool => $one->float_valve);
        $source =
            $vessel === null || $system->water_id === null
                ? null
                : WaterSource::query()->with('tests')->find($system->water_id);

        return $vessel === null || $source?->mayBringChlorine() !== true
            ? []
            : [
                (new Caution(
                    Level::Danger,
                    Message::of('exchange.float_valve_with_chlorine', [
                        'vessel' => $vessel->name,
                        'name' => $source->name,
                    ]),
                ))->toArray(),
            ];
    }
}
