<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Flow\Pipe;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Measure\Format;

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
                $found[] = new Caution(Level::Watch, "{$vessel->name} has no net: koi jump, most of all when new.");
            }
            if ($vessel->floatValve && !$vessel->overflow) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$vessel->name} has a float valve and no overflow: one that sticks open " .
                        'floods it, and thins every dose.',
                );
            }
            array_push($found, ...self::falls($loop, $flow, $vessel), ...self::through($loop, $vessel));
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
                "{$vessel->name}: the water would stand " .
                    Format::number(1000 * $rise, 2) .
                    ' mm over the lip of its overflow, and run over its rim.',
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
                    "{$line->name}: a pipe this narrow cannot carry " .
                        Format::number($flow->lineFlow($line->id), 3) .
                        " L/h down; {$vessel->name} would rise until it runs over.",
                );
            }
        }

        return $found;
    }

    /** @return list<Caution> dead ends and water that is sent across */
    private static function through(Loop $loop, LoopVessel $vessel): array
    {
        $out = array_filter(
            $loop->lines,
            static fn(LoopLine $line): bool => $line->open() && $line->from->id === $vessel->id,
        );
        $in = array_filter(
            $loop->lines,
            static fn(LoopLine $line): bool => $line->open() && $line->to->id === $vessel->id,
        );
        $comes = self::spots($in);
        $goes = self::spots($out);
        $found = [];
        if (count($comes) === 1 && $comes === $goes && $comes !== ['middle']) {
            $found[] = new Caution(
                Level::Watch,
                "{$vessel->name}: water comes and goes at the same end; the other end stands still.",
            );
        }
        foreach ($in as $line) {
            if ($vessel->long && $line->aim === 'across') {
                $found[] = new Caution(
                    Level::Note,
                    "{$line->name} blows across {$vessel->name}: along its length it would turn the whole of it.",
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
