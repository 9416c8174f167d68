<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Words\Message;

/**
 * What is amiss with a loop as built and as it runs, in plain words.
 *
 * @source cp-loop-checks
 */
final readonly class LoopCheck
{
    /** @return list<Caution> */
    public static function of(Loop $loop, LoopFlow $flow): array
    {
        return [
            ...StageCheck::of($loop, $flow),
            ...LineCheck::of($loop, $flow),
            ...self::pumps($loop, $flow),
            ...VesselCheck::of($loop, $flow),
            ...self::safeguards($loop),
        ];
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
}
