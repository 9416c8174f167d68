<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Flow\Pipe;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What is amiss with the vessels of a loop: nets, overflows, and how the water goes through them.
 *
 * @source cp-loop-checks
 */
final readonly class VesselCheck
{
    /** @return list<Caution> */
    public static function of(Loop $loop, LoopFlow $flow): array
    {
        $found = [];
        foreach ($loop->vessels as $vessel) {
            if ($vessel->holdsFish && !$vessel->netted) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.vessel_net_koi_jump_most', ['name' => $vessel->name]),
                );
            }
            if ($vessel->floatValve && !$vessel->overflow) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.vessel_float_valve_overflow_sticks', ['name' => $vessel->name]),
                );
            }
            array_push(
                $found,
                ...self::falls($loop, $flow, $vessel),
                ...self::through($loop, $vessel),
                ...self::current($loop, $flow, $vessel),
            );
        }
        foreach ($loop->circulators as $circulator) {
            if ($circulator->guarded === false) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.circulator_without_guard', ['name' => $circulator->name]),
                );
            }
        }

        return $found;
    }

    /** @return list<Caution> what an overflow cannot carry */
    private static function falls(Loop $loop, LoopFlow $flow, LoopVessel $vessel): array
    {
        $found = [];
        $rise = $flow->riseOverLip($vessel);
        if ($rise !== null && $vessel->freeboardM > 0 && $rise > $vessel->freeboardM) {
            $found[] = new Caution(
                Level::Danger,
                Message::of('loop.vessel_water_would_stand_mm', [
                    'name' => $vessel->name,
                    'rise' => Format::number(1000 * $rise, 2),
                ]),
            );
        }
        foreach ($loop->lines as $line) {
            $below = self::levelAt($loop, $line->to);
            if (!$line->overflow || !$line->open() || $line->from->id !== $vessel->id || $below === null) {
                continue;
            }
            $carried = PipeInputs::m3s($flow->lineFlow($line->id));
            if (
                (new Pipe($line->boreMm / 1000, $line->lengthM, $line->fittingsK, tempC: $loop->tempC))->headLoss(
                    $carried,
                ) >
                $vessel->levelM - $below
            ) {
                $found[] = new Caution(
                    Level::Danger,
                    Message::of('loop.vessel_pipe_narrow_cannot_carry', [
                        'name' => $line->name,
                        'line_flow' => Format::number($flow->lineFlow($line->id), 3),
                        'name2' => $vessel->name,
                    ]),
                );
            }
        }

        return $found;
    }

    /** @return list<Caution> what the smallest fish cannot hold against */
    private static function current(Loop $loop, LoopFlow $flow, LoopVessel $vessel): array
    {
        $current = Current::of($loop, $flow, $vessel);
        $lengths = $current?->lengths($vessel);

        return $current === null || $lengths === null || $lengths <= Current::HELD
            ? []
            : [
                new Caution(
                    $lengths > Current::TIRES ? Level::Danger : Level::Watch,
                    Message::of($lengths > Current::TIRES ? 'loop.current_tires' : 'loop.current_strong', [
                        'name' => $vessel->name,
                        'current' => Format::number(100 * $current->metresS, 2),
                        'lengths' => Format::number($lengths, 2),
                        'fish' => Format::number(100 * (float) $vessel->smallestFishM, 2),
                    ]),
                ),
            ];
    }

    /** The end of a vessel that the water does not reach; null where it goes through, or nobody said how. */
    public static function stagnant(Loop $loop, LoopVessel $vessel): ?string
    {
        $comes = self::spots(
            array_filter(
                $loop->lines,
                static fn(LoopLine $line): bool => $line->open() && $line->to->id === $vessel->id,
            ),
        );
        $goes = self::spots(
            array_filter(
                $loop->lines,
                static fn(LoopLine $line): bool => $line->open() && $line->from->id === $vessel->id,
            ),
        );
        // A circulator that blows along the length carries the water to its other end.
        $carried = array_filter(
            $loop->circulators,
            static fn(Circulator $one): bool => $one->insideVessel === $vessel->id &&
                $one->on &&
                ($one->aim === 'along' || ($one->spot !== null && !in_array($one->spot, $comes, true))),
        );

        return count($comes) === 1 && $comes === $goes && $comes !== ['middle'] && $carried === []
            ? ($comes === ['one_end']
                ? 'far_end'
                : 'one_end')
            : null;
    }

    /** @return list<Caution> dead ends and water that is sent across */
    private static function through(Loop $loop, LoopVessel $vessel): array
    {
        $in = array_filter(
            $loop->lines,
            static fn(LoopLine $line): bool => $line->open() && $line->to->id === $vessel->id,
        );
        $moves = array_filter(
            $loop->circulators,
            static fn(Circulator $one): bool => $one->insideVessel === $vessel->id,
        );
        $found = [];
        if (self::stagnant($loop, $vessel) !== null) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.vessel_water_comes_goes_same', ['name' => $vessel->name]),
            );
        }
        foreach ([...$in, ...$moves] as $blows) {
            if ($vessel->long && $blows->aim === 'across') {
                $found[] = new Caution(
                    Level::Note,
                    Message::of('loop.vessel_blows_across_along_length', [
                        'name' => $blows->name,
                        'name2' => $vessel->name,
                    ]),
                );
            }
        }

        return $found;
    }

    /**
     * @param  array<LoopLine>  $lines
     * @return list<string> where in the vessel they open, each once
     */
    private static function spots(array $lines): array
    {
        $spots = [];
        foreach ($lines as $line) {
            if ($line->spot !== null) {
                $spots[$line->spot] = $line->spot;
            }
        }

        return array_values($spots);
    }

    private static function levelAt(Loop $loop, Place $place): ?float
    {
        foreach ($loop->vessels as $vessel) {
            if ($place->kind === PlaceKind::Vessel && $vessel->id === $place->id) {
                return $vessel->levelM;
            }
        }

        return null;
    }
}
