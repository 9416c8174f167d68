<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Flow\GravityFlowCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What is amiss with the lines of a loop: valves, guards, prime, and what settles on the way.
 *
 * @source cp-loop-checks
 */
final readonly class LineCheck
{
    /** @return list<Caution> */
    public static function of(Loop $loop, LoopFlow $flow): array
    {
        $ways = new Ways($loop);
        $found = [];
        foreach ($loop->lines as $line) {
            array_push($found, ...self::amiss($loop, $ways, $line), ...self::slow($ways, $line, $flow));
            if ($line->from->kind === PlaceKind::Vessel && !$line->withinReach) {
                $found[] = new Caution(
                    Level::Note,
                    Message::of('loop.loop_mouth_reach_cannot_reached', ['name' => $line->name]),
                );
            }
            if ($line->waste && $line->leadsTo === 'garden') {
                $found[] = new Caution(
                    Level::Note,
                    Message::of('loop.loop_leads_garden_while_salt', ['name' => $line->name]),
                );
            }
            if ($line->shut() && !$line->waste) {
                $found[] = new Caution(Level::Note, Message::of('loop.loop_line_is_shut', ['name' => $line->name]));
            }
        }
        foreach ($loop->junctions as $junction) {
            if (count($ways->meetingAt($junction)) < 2) {
                $found[] = new Caution(
                    Level::Watch,
                    Message::of('loop.junction_leads_nowhere', ['name' => $junction->name]),
                );
            }
        }

        return $found;
    }

    /** @return list<Caution> what it lacks where it stands */
    private static function amiss(Loop $loop, Ways $ways, LoopLine $line): array
    {
        $found = [];
        $drain = $line->from->kind === PlaceKind::Vessel && !$line->waste && !$line->overflow;
        $pumps = self::pumps($loop, $ways, $line);
        // A pump that stands in the water it moves is taken out of it with its line.
        $stands = $pumps !== [] && array_filter($pumps, static fn(LoopPump $pump): bool => $pump->stands()) === $pumps;
        if ($drain && !$stands && !$ways->canBeShut($line)) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.loop_valve_feeds_cannot_emptied', ['name' => $line->name]),
            );
        }
        // Only a dry pump above the water it draws from has a prime to lose.
        $above = array_filter($pumps, static fn(LoopPump $pump): bool => $pump->aboveM > 0);
        if ($above !== [] && $line->to->kind === PlaceKind::Pump && !$line->checkValve) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.loop_check_valve_pump_loses', ['name' => $line->name]),
            );
        }
        if ($pumps !== [] && $line->from->kind !== PlaceKind::Junction && !$line->guarded) {
            $found[] = new Caution(
                Level::Watch,
                Message::of('loop.loop_guard_suction_fry_frogs', ['name' => $line->name]),
            );
        }

        return $found;
    }

    /** @return list<Caution> */
    private static function slow(Ways $ways, LoopLine $line, LoopFlow $flow): array
    {
        $velocity = abs($flow->lineVelocity($line));
        $dirty = array_filter(
            $ways->sourcesOf($line),
            static fn(Place $source): bool => $source->kind === PlaceKind::Vessel,
        );
        $settles =
            $dirty !== [] &&
            !$line->overflow &&
            !$line->waste &&
            array_filter(
                $ways->reachedBy($line),
                static fn(Place $place): bool => $place->kind === PlaceKind::Stage,
            ) !== [];

        return $settles && $velocity > 0 && $velocity < GravityFlowCalculator::SETTLES_BELOW
            ? [
                new Caution(
                    Level::Note,
                    Message::of('loop.loop_slow_enough_droppings_settle', [
                        'name' => $line->name,
                        'velocity' => Format::number($velocity, 2),
                    ]),
                ),
            ]
            : [];
    }

    /** @return list<LoopPump> that draw through it */
    private static function pumps(Loop $loop, Ways $ways, LoopLine $line): array
    {
        $ids = array_map(
            static fn(Place $place): string => $place->kind === PlaceKind::Pump ? $place->id : '',
            $line->waste ? [] : $ways->reachedBy($line),
        );

        return array_values(
            array_filter($loop->pumps, static fn(LoopPump $pump): bool => in_array($pump->id, $ids, true)),
        );
    }
}
