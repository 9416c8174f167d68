<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Numeric\LinearSystem;
use Ironwort\Core\Numeric\SingularMatrix;

/**
 * Flows and heads of a loop with branches, pumps and valves.
 *
 * Points with a known head are open water (a bay, a pond, the lip of a return above it); all others
 * find their own. Every element loses head as a rising function of flow, and at every free point what
 * comes in goes out. Newton's method on both together (Todini and Pilati's gradient method): each round
 * solves one small linear system for the heads and corrects the flows. Check valves and pumps that
 * would run backwards are shut and the rest is solved again.
 *
 * @source todini-pilati-1988
 */
final readonly class Network
{
    /** Flows are settled when no round moves them by more than this, m³/s (0.004 L/h). */
    private const SETTLED = 1e-9;

    private const ROUNDS = 200;

    /** Least slope of a head loss, m per m³/s, where a curve is flat at no flow. */
    private const LEAST_SLOPE = 1e-2;

    /**
     * @param  array<string, float>  $surfaces  head by point of open water, m
     * @param  list<Link>  $links  what is open; shut lines are left out
     * @param  array<string, float>  $inflows  what falls in from elsewhere by point, m³/s
     */
    public function __construct(private array $surfaces, private array $links, private array $inflows = []) {}

    /** @throws UnsolvableNetwork */
    public function solve(): NetworkFlow
    {
        if ($this->surfaces === []) {
            throw UnsolvableNetwork::noSurface();
        }
        $shut = [];
        for ($try = 0; $try <= 2 * count($this->links); $try++) {
            $open = $this->reachable(
                array_values(array_filter($this->links, static fn(Link $link): bool => !isset($shut[$link->id]))),
            );
            [$flows, $heads] = $this->settle($open);
            $changed = false;
            foreach ($open as $link) {
                if ($link->element->oneWay() && $flows[$link->id] < -self::SETTLED) {
                    $shut[$link->id] = true;
                    $changed = true;
                }
            }
            if (!$changed) {
                $this->refuseHelplessPumps($shut, $heads);

                return $this->answer($flows, $heads);
            }
        }

        throw UnsolvableNetwork::unsettled();
    }

    /**
     * The links that lie on a way to open water; a point beyond a shut line neither fills nor empties.
     *
     * @param  list<Link>  $links
     * @return list<Link>
     */
    private function reachable(array $links): array
    {
        $wet = array_fill_keys(array_keys($this->surfaces), true);
        do {
            $before = count($wet);
            foreach ($links as $link) {
                if (isset($wet[$link->from]) || isset($wet[$link->to])) {
                    $wet[$link->from] = $wet[$link->to] = true;
                }
            }
        } while (count($wet) > $before);

        return array_values(array_filter($links, static fn(Link $link): bool => isset($wet[$link->from])));
    }

    /**
     * @param  list<Link>  $links
     * @return array{array<string, float>, array<string, float>} flows by link, heads by point
     */
    private function settle(array $links): array
    {
        $free = [];
        foreach ($links as $link) {
            foreach ([$link->from, $link->to] as $point) {
                if (!array_key_exists($point, $this->surfaces) && !isset($free[$point])) {
                    $free[$point] = count($free);
                }
            }
        }
        $flows = array_fill_keys(array_map(static fn(Link $link): string => $link->id, $links), 1e-3);
        $heads = $this->surfaces;
        $moved = INF;
        for ($round = 0; $round < self::ROUNDS && $moved > self::SETTLED; $round++) {
            [$losses, $slopes] = $this->linearise($links, $flows);
            $heads = $this->surfaces + $this->heads($links, $free, $flows, $losses, $slopes);
            $before = $moved;
            $moved = 0.0;
            // A round that moves things more than the last overshoots; half a step then finds the way back.
            $damping = $round > 20 && $moved >= $before ? 0.5 : ($round > 60 ? 0.5 : 1.0);
            foreach ($links as $link) {
                $step = ($heads[$link->from] - $heads[$link->to] - $losses[$link->id]) / $slopes[$link->id];
                $flows[$link->id] += $damping * $step;
                $moved = max($moved, abs($step));
            }
        }
        if ($moved > self::SETTLED || !is_finite($moved)) {
            throw UnsolvableNetwork::unsettled();
        }

        return [$flows, $heads];
    }

    /**
     * @param  list<Link>  $links
     * @param  array<string, float>  $flows
     * @return array{array<string, float>, array<string, float>} head loss and its slope by link
     */
    private function linearise(array $links, array $flows): array
    {
        $losses = $slopes = [];
        foreach ($links as $link) {
            $flow = $flows[$link->id];
            $by = max(1e-8, 1e-5 * abs($flow));
            $losses[$link->id] = $link->element->headLoss($flow);
            $slopes[$link->id] = max(
                self::LEAST_SLOPE,
                ($link->element->headLoss($flow + $by) - $link->element->headLoss($flow - $by)) / (2 * $by),
            );
        }

        return [$losses, $slopes];
    }

    /**
     * Heads of the free points at which the linearised flows balance.
     *
     * @param  list<Link>  $links
     * @param  array<string, int>  $free
     * @param  array<string, float>  $flows
     * @param  array<string, float>  $losses
     * @param  array<string, float>  $slopes
     * @return array<string, float>
     */
    private function heads(array $links, array $free, array $flows, array $losses, array $slopes): array
    {
        $size = count($free);
        $matrix = array_fill(0, $size, array_fill(0, $size, 0.0));
        $right = array_fill(0, $size, 0.0);
        foreach ($free as $point => $row) {
            $right[$row] += $this->inflows[$point] ?? 0.0;
        }
        foreach ($links as $link) {
            $conductance = 1 / $slopes[$link->id];
            $carried = $flows[$link->id] - $conductance * $losses[$link->id];
            foreach (
                [[$link->from, $link->to, -$carried], [$link->to, $link->from, $carried]]
                as [$here, $there, $inflow]
            ) {
                if (!isset($free[$here])) {
                    continue;
                }
                $row = $free[$here];
                $matrix[$row][$row] += $conductance;
                $right[$row] += $inflow;
                if (isset($free[$there])) {
                    $matrix[$row][$free[$there]] -= $conductance;
                } else {
                    $right[$row] += $conductance * $this->surfaces[$there];
                }
            }
        }
        try {
            $solved = LinearSystem::solve($matrix, $right);
        } catch (SingularMatrix) {
            throw UnsolvableNetwork::unsettled();
        }

        return array_map(static fn(int $row): float => $solved[$row], $free);
    }

    /**
     * A pump that had to be shut because it would run backwards is one that cannot lift what is asked of it.
     *
     * @param  array<string, true>  $shut
     * @param  array<string, float>  $heads
     */
    private function refuseHelplessPumps(array $shut, array $heads): void
    {
        foreach ($this->links as $link) {
            if (isset($shut[$link->id]) && $link->element instanceof PumpElement) {
                $needs = ($heads[$link->to] ?? 0.0) - ($heads[$link->from] ?? 0.0);
                throw UnsolvableNetwork::cannotLift($link->id, $link->element->curve->shutOffHead(), $needs);
            }
        }
    }

    /**
     * @param  array<string, float>  $flows
     * @param  array<string, float>  $heads
     */
    private function answer(array $flows, array $heads): NetworkFlow
    {
        $allFlows = $allHeads = [];
        foreach ($this->links as $link) {
            $allFlows[$link->id] = $flows[$link->id] ?? 0.0;
            foreach ([$link->from, $link->to] as $point) {
                $allHeads[$point] = $heads[$point] ?? null;
            }
        }

        return new NetworkFlow($allFlows, $allHeads + $this->surfaces);
    }
}
