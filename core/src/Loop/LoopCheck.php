<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Flow\GravityFlowCalculator;
use Ironwort\Core\Measure\Format;

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
            ...self::lines($loop, $flow),
            ...self::pumps($loop, $flow),
            ...VesselCheck::of($loop, $flow),
            ...self::safeguards($loop),
        ];
    }

    /** @return list<Caution> */
    private static function stages(Loop $loop, LoopFlow $flow): array
    {
        $found = [];
        foreach ($loop->stages as $stage) {
            $level = $flow->stageLevel($stage->id);
            if ($stage->bypassed) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$stage->name} is bypassed: the water passes it by, and what lives in it " .
                        'gets neither food nor oxygen.',
                );
            }
            $rise =
                $stage->settles && $stage->planM2 !== null
                    ? abs($flow->stageFlow($stage->id)) / 1000 / $stage->planM2
                    : null;
            if ($rise !== null && $rise > self::SETTLES_TO_M_H) {
                $found[] = new Caution(
                    Level::Note,
                    "{$stage->name}: the water rises " .
                        Format::number($rise, 2) .
                        ' m an hour over its plan; above ' .
                        Format::number(self::SETTLES_TO_M_H) .
                        ' or so fine dirt is carried through.',
                );
            }
            if ($stage->rimM !== null && $stage->rimM < self::RIM_M) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$stage->name}: the rim stands " .
                        Format::number(1000 * $stage->rimM) .
                        ' mm above the water; 75 mm or more keeps a stopped pump from flooding it.',
                );
            }
            if ($stage->rimM !== null && !self::hasWaste($loop, $stage)) {
                $found[] = new Caution(
                    Level::Note,
                    "{$stage->name}: no waste drain, so its dirt can only be lifted out.",
                );
            }
            if ($level !== null && $stage->rimM !== null && $level > $stage->rimM) {
                $found[] = new Caution(
                    Level::Danger,
                    "{$stage->name}: the water would stand " .
                        Format::number(1000 * ($level - $stage->rimM), 2) .
                        ' mm above its rim and run over.',
                );
            }
            if ($level !== null && $stage->mayDropM !== null && -$level > $stage->mayDropM) {
                $found[] = new Caution(
                    Level::Danger,
                    "{$stage->name}: the level is drawn down " .
                        Format::number(-1000 * $level, 3) .
                        ' mm, more than the ' .
                        Format::number(1000 * $stage->mayDropM) .
                        ' mm there are: the pump draws air.',
                );
            }
        }

        return $found;
    }

    /** @return list<Caution> */
    private static function lines(Loop $loop, LoopFlow $flow): array
    {
        $found = [];
        foreach ($loop->lines as $line) {
            $drain =
                $line->from->kind === PlaceKind::Vessel && $line->to->kind !== PlaceKind::Outside && !$line->overflow;
            if ($drain && $line->valveOpenPct === null) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$line->name}: no valve, so what it feeds cannot be emptied without emptying the vessel.",
                );
            }
            if ($drain && $line->to->kind === PlaceKind::Pump && !$line->checkValve) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$line->name}: no check valve, so the pump loses its prime in a power cut.",
                );
            }
            if ($line->from->kind === PlaceKind::Vessel && $line->to->kind === PlaceKind::Pump && !$line->guarded) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$line->name}: no guard on the suction; fry, frogs and pads are drawn in.",
                );
            }
            $velocity = abs($flow->lineVelocity($line));
            if (
                $drain &&
                $line->to->kind === PlaceKind::Stage &&
                $velocity > 0 &&
                $velocity < GravityFlowCalculator::SETTLES_BELOW
            ) {
                $found[] = new Caution(
                    Level::Note,
                    "{$line->name}: " .
                        Format::number($velocity, 2) .
                        ' m/s is slow enough for droppings to settle in the pipe.',
                );
            }
            if ($line->from->kind === PlaceKind::Vessel && !$line->withinReach) {
                $found[] = new Caution(
                    Level::Note,
                    "{$line->name}: its mouth is out of reach, and what cannot be reached does not get cleaned.",
                );
            }
            if ($line->waste && $line->leadsTo === 'garden') {
                $found[] = new Caution(
                    Level::Note,
                    "{$line->name} leads to the garden: not while there is salt or a treatment in the water.",
                );
            }
            if ($line->shut() && !$line->waste) {
                $found[] = new Caution(Level::Note, "{$line->name} is shut.");
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
                    "{$pump->name} is off: nothing it feeds has flow, oxygen or food.",
                );
            } elseif ($flow->pumpFlow($pump->id) < 1) {
                $found[] = new Caution(Level::Danger, "{$pump->name} runs against a shut line: no water moves.");
            } elseif ($flow->pumpFlow($pump->id) > 3.6e6 * $pump->curve->greatestFlow()) {
                $found[] = new Caution(
                    Level::Watch,
                    "{$pump->name} runs off the end of its curve: throttle it, or its motor runs hot.",
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
            $found[] = new Caution(
                Level::Watch,
                'No return breaks the surface: water leaves a biofilter short of oxygen, and ' .
                    'nothing here puts it back.',
            );
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
                "Pump and air are all on one circuit, {$pumps[array_key_first($pumps)]}: one trip stops both.",
            );
        }
        if ($loop->pumps !== [] && $loop->airPumps === [] && $breaking === [] && $airlifts === []) {
            $found[] = new Caution(Level::Watch, 'There is no air pump: when the pump stops, so does the oxygen.');
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
