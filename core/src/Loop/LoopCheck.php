<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What is amiss with a loop as built and as it runs, in plain words.
 *
 * @source cp-loop-checks  @source settling-load
 */
final readonly class LoopCheck
{
    /** How far a gravity chamber's rim should stand above the water, m. */
    private const RIM_M = 0.075;

    /** Hydraulic load over which a settling chamber lets much pass, m/h. */
    private const SETTLES_TO_M_H = 11.0;

    /** @return list<Caution> */
    public static function of(Loop $loop, LoopFlow $flow): array
    {
        return [
            ...self::stages($loop, $flow),
            ...LineCheck::of($loop, $flow),
            ...self::pumps($loop, $flow),
            ...VesselCheck::of($loop, $flow),
            ...self::safeguards($loop),
        ];
    }

    /** @return list<Caution> */
    private static function stages(Loop $loop, LoopFlow $flow): array
    {
        $found = [];
        $ways = new Ways($loop);
        foreach ($loop->stages as $stage) {
            $level = $flow->stageLevel($stage->id);
            if ($stage->bypassed) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.loop_bypassed_water_passes_lives', ['name' => $stage->name]),
                );
            }
            $rise =
                $stage->settles && $stage->planM2 !== null
                    ? abs($flow->stageFlow($stage->id)) / 1000 / $stage->planM2
                    : null;
            if ($rise !== null && $rise > self::SETTLES_TO_M_H) {
                $found[] = new Caution(
                    Level::Note,
                    Message::of('loop.loop_water_rises_hour_over', [
                        'name' => $stage->name,
                        'rise' => Format::number($rise, 2),
                        'settles_to_m_h' => Format::number(self::SETTLES_TO_M_H),
                    ]),
                );
            }
            if ($stage->rimM !== null && $stage->rimM < self::RIM_M && !$ways->pumpFed($stage)) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.loop_rim_stands_mm_above', [
                        'name' => $stage->name,
                        'rim_m' => Format::number(1000 * $stage->rimM),
                    ]),
                );
            }
            if ($stage->rimM !== null && !self::hasWaste($loop, $stage)) {
                $found[] = new Caution(
                    Level::Note,
                    Message::of('loop.loop_waste_drain_dirt_can', ['name' => $stage->name]),
                );
            }
            if ($level !== null && $stage->rimM !== null && $level > $stage->rimM) {
                $found[] = new Caution(
                    Level::Danger,
                    Message::of('loop.loop_water_would_stand_mm', [
                        'name' => $stage->name,
                        'level' => Format::number(1000 * ($level - $stage->rimM), 2),
                    ]),
                );
            }
            if ($level !== null && $stage->mayDropM !== null && -$level > $stage->mayDropM) {
                $found[] = new Caution(
                    Level::Danger,
                    Message::of('loop.loop_level_drawn_mm_mm', [
                        'name' => $stage->name,
                        'level' => Format::number(-1000 * $level, 3),
                        'may_drop_m' => Format::number(1000 * $stage->mayDropM),
                    ]),
                );
            }
        }

        return $found;
    }

    /** @return list<Caution> */
    private static function pumps(Loop $loop, LoopFlow $flow): array
    {
        $found = [];
        foreach ($loop->pumps as $pump) {
            if (!$pump->on) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.loop_off_nothing_feeds_flow', ['name' => $pump->name]),
                );
            } elseif ($flow->pumpFlow($pump->id) < 1) {
                $found[] = new Caution(
                    Level::Danger,
                    Message::of('loop.loop_runs_against_shut_line', ['name' => $pump->name]),
                );
            } elseif ($flow->pumpFlow($pump->id) > 3.6e6 * $pump->curve->greatestFlow()) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.loop_runs_off_end_curve', ['name' => $pump->name]),
                );
            }
        }

        return $found;
    }

    /**
     * What stands between one fault and dead fish.
     *
     * @return list<Caution>
     */
    private static function safeguards(Loop $loop): array
    {
        $found = [];
        $returns = array_filter($loop->lines, static fn(LoopLine $line): bool => $line->to->kind === PlaceKind::Vessel);
        $breaking = array_filter(
            $returns,
            static fn(LoopLine $line): bool => $line->breaksSurface || $line->endsAboveM > 0,
        );
        $airlifts = array_filter(
            $loop->pumps,
            static fn(LoopPump $pump): bool => $pump->insideVessel !== null && $pump->lipM > 0,
        );
        if ($loop->stages !== [] && $returns !== [] && $breaking === [] && $airlifts === []) {
            $found[] = new Caution(Level::Watch, Message::of('loop.loop_return_breaks_surface_water'));
        }
        $pumps = array_unique(
            array_filter(
                array_map(static fn(LoopPump $pump): ?string => $pump->on ? $pump->circuit : null, $loop->pumps),
            ),
        );
        $air = array_unique(
            array_filter(
                array_map(static fn(AirPump $pump): ?string => $pump->on ? $pump->circuit : null, $loop->airPumps),
            ),
        );
        if (count($pumps) === 1 && array_values($pumps) === array_values($air)) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.loop_pump_air_circuit_trip', ['pumps' => $pumps[array_key_first($pumps)]]),
            );
        }
        if ($loop->pumps !== [] && $loop->airPumps === [] && $breaking === [] && $airlifts === []) {
            $found[] = new Caution(Level::Watch, Message::of('loop.loop_air_pump_pump_stops'));
        }

        return $found;
    }

    private static function hasWaste(Loop $loop, LoopStage $stage): bool
    {
        foreach ($loop->lines as $line) {
            if ($line->waste && $line->from->kind === PlaceKind::Stage && $line->from->id === $stage->id) {
                return true;
            }
        }

        return false;
    }
}
