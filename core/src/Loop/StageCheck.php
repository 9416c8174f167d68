<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What is amiss with the stages of a loop: rims and levels, how fast water rises in them, pressure, wastes.
 *
 * @source cp-loop-checks  @source settling-load
 */
final readonly class StageCheck
{
    /** How far a gravity chamber's rim should stand above the water, m. */
    private const RIM_M = 0.075;

    /** Hydraulic load over which a settling chamber lets much pass, m/h. */
    private const SETTLES_TO_M_H = 11.0;

    /** Over which a slow up-flow chamber of fine particles lifts or lets dirt through, m/h. */
    private const UPFLOW_TO_M_H = 2.0;

    /** @return list<Caution> */
    public static function of(Loop $loop, LoopFlow $flow): array
    {
        $found = [];
        foreach ($loop->stages as $stage) {
            array_push(
                $found,
                ...self::rises($stage, $flow),
                ...self::levels($loop, $stage, $flow),
                ...$stage->underPressure ? self::pressed($loop, $stage, $flow) : [],
                ...$stage->lamp ? self::lamp($loop, $stage) : [],
            );
        }

        return $found;
    }

    /** @return list<Caution> what is bypassed, and how fast the water rises through the rest */
    private static function rises(LoopStage $stage, LoopFlow $flow): array
    {
        $found = [];
        if ($stage->bypassed) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.loop_bypassed_water_passes_lives', ['name' => $stage->name]),
            );
        }
        $rise = $stage->planM2 === null ? null : abs($flow->stageFlow($stage->id)) / 1000 / $stage->planM2;
        $most = $stage->upflow ? self::UPFLOW_TO_M_H : ($stage->settles ? self::SETTLES_TO_M_H : null);
        if ($rise !== null && $most !== null && $rise > $most) {
            $found[] = new Caution(
                $stage->upflow ? Level::Watch : Level::Note,
                Message::of($stage->upflow ? 'loop.upflow_too_fast' : 'loop.loop_water_rises_hour_over', [
                    'name' => $stage->name,
                    'rise' => Format::number($rise, 2),
                    'settles_to_m_h' => Format::number($most),
                ]),
            );
        }

        return $found;
    }

    /** @return list<Caution> */
    private static function levels(Loop $loop, LoopStage $stage, LoopFlow $flow): array
    {
        $found = [];
        $level = $flow->stageLevel($stage->id);
        if ($stage->rimM !== null && $stage->rimM < self::RIM_M && !(new Ways($loop))->pumpFed($stage)) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.loop_rim_stands_mm_above', [
                    'name' => $stage->name,
                    'rim_m' => Format::number(1000 * $stage->rimM),
                ]),
            );
        }
        if (($stage->rimM !== null || $stage->underPressure) && !self::hasWaste($loop, $stage)) {
            $found[] = new Caution(
                Level::Note,
                Message::of($stage->underPressure ? 'loop.pressure_no_waste' : 'loop.loop_waste_drain_dirt_can', [
                    'name' => $stage->name,
                ]),
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

        return $found;
    }

    /** @return list<Caution> what presses on a closed vessel as it runs, and once its outlet is shut */
    private static function pressed(Loop $loop, LoopStage $stage, LoopFlow $flow): array
    {
        $head = $flow->headInto($stage->id);
        $pumps = (new Ways($loop))->pumpsOf($stage->id);
        if ($stage->mayPressM === null) {
            return [];
        }
        $say = static fn(Level $level, string $code, float $press): Caution => new Caution(
            $level,
            Message::of($code, [
                'name' => $stage->name,
                'press' => Format::number($press, 3),
                'may' => Format::number($stage->mayPressM, 3),
            ]),
        );
        $shut = max([
            0.0,
            ...array_map(
                static fn(LoopPump $pump): float => $pump->on && in_array($pump->id, $pumps, true)
                    ? $pump->curve->shutOffHead()
                    : 0.0,
                $loop->pumps,
            ),
        ]);

        return match (true) {
            $head !== null && $head > $stage->mayPressM => [$say(Level::Danger, 'loop.pressure_over', $head)],
            $shut > $stage->mayPressM => [$say(Level::Watch, 'loop.pressure_over_when_shut', $shut)],
            default => [],
        };
    }

    /** @return list<Caution> a lamp that shines before the bacteria have cleaned the water */
    private static function lamp(Loop $loop, LoopStage $lamp): array
    {
        return self::lampAfter($loop, $lamp) === false
            ? [new Caution(Level::Note, Message::of('loop.lamp_before_biofilter', ['name' => $lamp->name]))]
            : [];
    }

    /** Whether a lamp stands after the biofilter; null where there is none on its way. */
    public static function lampAfter(Loop $loop, LoopStage $lamp): ?bool
    {
        $ways = new Ways($loop);
        $grows = array_column(array_filter($loop->stages, static fn(LoopStage $one): bool => $one->grows), 'id');
        if (array_intersect($ways->stagesBefore($lamp->id), $grows) !== []) {
            return true;
        }
        foreach ($grows as $id) {
            if (in_array($lamp->id, $ways->stagesBefore($id), true)) {
                return false;
            }
        }

        return null;
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
