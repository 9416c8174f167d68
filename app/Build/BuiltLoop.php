<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Line;
use App\Models\Pump;
use App\Models\Stage;
use App\Models\System;
use App\Models\Vessel;
use Ironwort\Core\Flow\FittingTable;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Loop\AirPump;
use Ironwort\Core\Loop\Loop;
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

    /** A vessel this much longer than it is wide has a length to blow along. */
    private const LONG = 1.4;

    public function __construct(private FittingTable $fittings) {}

    public function of(System $system, float $tempC): Loop
    {
        return new Loop(
            array_values($system->vessels->map($this->vessel(...))->all()),
            array_values($system->stages->map($this->stage(...))->all()),
            array_values(
                $system->pumps
                    ->filter(static fn(Pump $pump): bool => $pump->circulates())
                    ->map(
                        static fn(Pump $pump): LoopPump => new LoopPump(
                            $pump->id,
                            $pump->name,
                            $pump->curve($tempC),
                            $pump->power_w,
                            $pump->running,
                            $pump->circuit,
                            $pump->vessel_id,
                            (float) $pump->lift_m,
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
        );
    }

    private function vessel(Vessel $vessel): LoopVessel
    {
        $length = $vessel->measures['length_m'] ?? 0;
        $width = $vessel->measures['width_m'] ?? ($vessel->measures['width_a_m'] ?? 0);

        return new LoopVessel(
            $vessel->id,
            $vessel->name,
            $vessel->holdsFish(),
            $vessel->netted,
            $vessel->level_mm / 1000,
            $vessel->freeboard_m,
            $vessel->overflow,
            $vessel->float_valve,
            is_numeric($length) && is_numeric($width) && $width > 0 && $length >= self::LONG * $width,
        );
    }

    private function stage(Stage $stage): LoopStage
    {
        return new LoopStage(
            $stage->id,
            $stage->name,
            $stage->loss_mm / 1000,
            PipeInputs::m3s(max(1.0, $stage->flow_l_h)),
            $stage->rim_mm === null ? null : $stage->rim_mm / 1000,
            $stage->may_drop_mm === null ? null : $stage->may_drop_mm / 1000,
            $stage->water_l,
            $stage->plan_m2,
            in_array($stage->kind, self::SETTLING, true),
            $stage->vessel_id,
            $stage->bypassed,
        );
    }

    public function line(Line $line): LoopLine
    {
        return new LoopLine(
            $line->id,
            $line->name,
            $line->from(),
            $line->to(),
            $line->bore_mm,
            $line->length_m,
            $this->fittings->sum($line->fittings),
            $line->valve_open_pct,
            $line->check_valve,
            $line->ends_above_mm / 1000,
            $line->to()->kind === PlaceKind::Outside,
            $line->guarded,
            in_array($line->outlet, ['jet', 'waterfall', 'spray_bar', 'venturi'], true),
            $line->intake === 'overflow',
            $line->within_reach,
            $line->spot,
            $line->aim,
            $line->leads_to,
        );
    }
}
