<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\ShutOffTime;
use App\Volumes\ShutOffTimes;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use App\Volumes\WaterBody;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Loop\Junction;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopCheck;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\Turnover;

/** Where the water of a system goes and how much: every line, stage and pump as built, solved together. */
final readonly class PlumbingReport
{
    private const SAME_FLOW = 0.01;

    public function __construct(
        private BuiltLoop $built,
        private ShutOffTimes $shutOff,
        private WaterBodies $bodies,
        private VolumeReport $volumes,
        private LineReport $lines,
        private StageReport $stages,
        private VesselReport $vessels,
        private LimitsInForce $judging,
        private LevelWhileRunning $level,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $temperature = $water->valueOrAssumed(Parameter::Temperature);
        $loop = $this->built->of($system, $temperature);
        $volume = $this->volumes->inUse($system)->value;
        $after = $this->judging->following($system)->in('uv_place')->figure('after') > 0;
        $filled = RefillOf::system($system)?->caution();
        $answer = [
            'temp_c' => $temperature,
            'flows_differ' => false,
            'temp_assumed' => $water->get(Parameter::Temperature) === null,
            'volume_l' => $volume,
            'trouble' => null,
            'cautions' => $filled === null ? [] : [$filled->toArray()],
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
                            ($flow->returned() + TurnoverFigures::circulated($system)) / $volume,
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
            'turnover' =>
                $returned === null || $volume <= 0 ? null : TurnoverFigures::turnover($volume, $returned)->toArray(),
            'circulation_l_h' => TurnoverFigures::circulated($system),
            'circulation' =>
                $volume <= 0 || TurnoverFigures::circulated($system) <= 0
                    ? null
                    : TurnoverFigures::circulation($volume, TurnoverFigures::circulated($system))->toArray(),
            'power_w' => ($power = $system->pumps->sum(
                static fn(Pump $pump): float => $pump->running ? $pump->power_w : 0.0,
            )),
            'kwh_d' => 0.024 * $power,
            'cost_d' => $system->site->price_per_kwh === null ? null : 0.024 * $power * $system->site->price_per_kwh,
            'lines' => array_map(
                fn(Line $line, LoopLine $built): array => $this->lines->of($line, $built, $flow, $temperature),
                array_values($system->lines->all()),
                $loop->lines,
            ),
            'stages' => array_values(
                $system->stages
                    ->map(fn(Stage $stage): array => $this->stages->of($stage, $loop, $flow, $volume, $after))
                    ->all(),
            ),
            'pumps' => array_values(
                $system->pumps->map(static fn(Pump $pump): array => PumpReport::of($pump, $loop, $flow))->all(),
            ),
            'vessels' => array_map(
                fn(Vessel $vessel, LoopVessel $built): array => $this->vessels->of(
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

    /** Whether Capacity goes by other flows than the loop gives; warmth alone moves them by less. */
    private static function differ(System $system, LoopFlow $flow): bool
    {
        return $system->stages->contains(
            static fn(Stage $stage): bool => abs(abs($flow->stageFlow($stage->id)) - $stage->flow_l_h) >
                self::SAME_FLOW * max(1.0, $stage->flow_l_h),
        );
    }

    /** Whether there is anything to follow: a line, or a pump that stands in the water it moves. */
    private static function moves(Loop $loop): bool
    {
        return $loop->lines !== [] ||
            array_filter($loop->pumps, static fn(LoopPump $pump): bool => $pump->insideVessel !== null) !== [];
    }
}
