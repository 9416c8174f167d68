<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\FishGroup;
use App\Models\Junction;
use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use App\Volumes\LoopSums;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Loop\AirPump;
use Ironwort\Core\Loop\Circulator;
use Ironwort\Core\Loop\Junction as LoopJunction;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopLayer;
use Ironwort\Core\Loop\LoopLine;
use Ironwort\Core\Loop\LoopPump;
use Ironwort\Core\Loop\LoopStage;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\PlaceKind;

/** A system's build as the loop that the core follows. */
final readonly class BuiltLoop
{
    /** Stages that hold back dirt by letting it sink. */
    private const SETTLING = ['settlement', 'vortex'];

    private const UPFLOW = 'upflow';

    /** Built for bacteria, whatever else they catch. */
    private const GROWING = ['static_bed', 'moving_bed', 'matting', 'bead_vessel', 'shower', 'bog', 'sponge', 'gravel'];

    /** A vessel this much longer than it is wide has a length to blow along. */
    private const LONG = 1.4;

    public function __construct(private FittingTable $fittings, private LoopSums $sums) {}

    public function of(System $system, float $tempC): Loop
    {
        return new Loop(
            array_values(
                $system->vessels->map(fn(Vessel $vessel): LoopVessel => $this->vessel($system, $vessel))->all(),
            ),
            array_values(
                $system->stages
                    ->whereNull('chamber_id')
                    ->map(
                        fn(Stage $stage): LoopStage => $this->stage(
                            $stage,
                            array_values($system->stages->where('chamber_id', $stage->id)->all()),
                        ),
                    )
                    ->all(),
            ),
            array_values(
                $system->pumps
                    ->filter(static fn(Pump $pump): bool => $pump->circulates())
                    ->map(
                        static fn(Pump $pump): LoopPump => new LoopPump(
                            id: $pump->id,
                            name: $pump->name,
                            curve: $pump->curve($tempC),
                            powerW: $pump->power_w,
                            on: $pump->running,
                            circuit: $pump->circuit,
                            insideVessel: $pump->vessel_id,
                            lipM: (float) $pump->lift_m,
                            aboveM: (float) $pump->above_mm / 1000,
                        ),
                    )
                    ->all(),
            ),
            array_values($system->lines->map($this->line(...))->all()),
            $tempC,
            array_values(
                $system->pumps
                    ->filter(static fn(Pump $pump): bool => $pump->kind === 'air' || $pump->kind === 'airlift')
                    ->map(static fn(Pump $pump): AirPump => new AirPump($pump->name, $pump->circuit, $pump->running))
                    ->all(),
            ),
            array_values(
                $system->junctions
                    ->map(static fn(Junction $one): LoopJunction => new LoopJunction($one->id, $one->name))
                    ->all(),
            ),
            array_values($system->pumps->filter(self::moves(...))->map(self::circulator(...))->all()),
        );
    }

    private static function moves(Pump $pump): bool
    {
        return $pump->kind === 'circulator';
    }

    private static function circulator(Pump $pump): Circulator
    {
        return new Circulator(
            name: $pump->name,
            insideVessel: $pump->vessel_id,
            on: $pump->running,
            guarded: $pump->guarded,
            spot: $pump->spot,
            aim: $pump->aim,
            flowLH: (float) $pump->rated_l_h,
        );
    }

    private function vessel(System $system, Vessel $vessel): LoopVessel
    {
        $length = $vessel->measures['length_m'] ?? 0;
        $width = $vessel->measures['width_m'] ?? ($vessel->measures['width_a_m'] ?? 0);

        return new LoopVessel(
            id: $vessel->id,
            name: $vessel->name,
            holdsFish: $vessel->holdsFish(),
            netted: $vessel->netted,
            levelM: $vessel->level_mm / 1000,
            freeboardM: $vessel->freeboard_m,
            overflow: $vessel->overflow,
            floatValve: $vessel->float_valve,
            mayFallM: $vessel->may_fall_mm === null ? null : $vessel->may_fall_mm / 1000,
            long: is_numeric($length) && is_numeric($width) && $width > 0 && $length >= self::LONG * $width,
            sectionM2: is_numeric($length) && $length > 0 ? $this->sums->vessel($vessel)->value / 1000 / $length : null,
            smallestFishM: self::smallest($system, $vessel),
        );
    }

    /** Groups of which nobody said where they swim are in the only vessel, or in any. */
    private static function smallest(System $system, Vessel $vessel): ?float
    {
        $least = $vessel->holdsFish()
            ? $system->fish
                ->filter(static fn(FishGroup $group): bool => ($group->vessel_id ?? $vessel->id) === $vessel->id)
                ->min('length_cm')
            : null;

        return is_numeric($least) ? $least / 100 : null;
    }

    /** @param  list<Stage>  $layers  that lie in its chamber */
    private function stage(Stage $stage, array $layers): LoopStage
    {
        return new LoopStage(
            id: $stage->id,
            name: $stage->name,
            lossM: $stage->loss_mm / 1000,
            lossAtM3s: PipeInputs::m3s(max(1.0, $stage->flow_l_h)),
            rimM: $stage->rim_mm === null ? null : $stage->rim_mm / 1000,
            mayDropM: $stage->may_drop_mm === null ? null : $stage->may_drop_mm / 1000,
            waterL: $stage->water_l,
            planM2: $stage->plan_m2,
            settles: in_array($stage->kind, self::SETTLING, true),
            insideVessel: $stage->vessel_id,
            bypassed: $stage->bypassed,
            underPressure: $stage->under_pressure,
            mayPressM: $stage->may_press_m,
            upflow: $stage->kind === self::UPFLOW,
            lamp: $stage->kind === 'uv',
            grows: in_array($stage->kind, self::GROWING, true) && $stage->media_l > 0,
            layers: array_map(
                static fn(Stage $layer): LoopLayer => new LoopLayer(
                    $layer->id,
                    $layer->name,
                    $layer->loss_mm / 1000,
                    PipeInputs::m3s(max(1.0, $layer->flow_l_h)),
                ),
                $layers,
            ),
        );
    }

    public function line(Line $line): LoopLine
    {
        return new LoopLine(
            id: $line->id,
            name: $line->name,
            from: $line->from(),
            to: $line->to(),
            boreMm: $line->bore_mm,
            lengthM: $line->length_m,
            fittingsK: $this->fittings->sum($line->fittings),
            valveOpenPct: $line->valve_open_pct,
            checkValve: $line->check_valve,
            endsAboveM: $line->ends_above_mm / 1000,
            waste: $line->to()->kind === PlaceKind::Outside,
            guarded: $line->guarded || isset($line->fittings['strainer']),
            breaksSurface: in_array($line->outlet, ['jet', 'waterfall', 'spray_bar', 'venturi'], true),
            overflow: $line->intake === 'overflow',
            withinReach: $line->within_reach,
            spot: $line->spot,
            aim: $line->aim,
            leadsTo: $line->leads_to,
            mouthM: $line->mouth_mm === null ? null : $line->mouth_mm / 1000,
        );
    }
}
