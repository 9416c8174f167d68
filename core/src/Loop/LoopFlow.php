<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Intake;
use Ironwort\Core\Flow\Network;
use Ironwort\Core\Flow\NetworkFlow;
use Ironwort\Core\Flow\NetworkRows;
use Ironwort\Core\Flow\OverflowLip;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Water\WaterInputs;

/**
 * The flows of a loop as built, and how far its chambers are drawn down.
 *
 * Flows in L/h, heads and levels in m relative to the water in the vessels, velocities in m/s.
 *
 * @see Network for the method and its source
 */
final readonly class LoopFlow
{
    private const ROUNDS = 40;

    /** Overflows have settled when no round moves one by more than this, L/h. */
    private const SETTLED = 0.01;

    /**
     * @param  array<string, mixed>  $rows  the network as it was solved, input of `flow.network`
     * @param  array<string, float>  $spilt  by overflow line, L/h
     */
    private function __construct(
        private Loop $loop,
        private LoopNetwork $network,
        private NetworkFlow $flow,
        public array $rows,
        private array $spilt,
    ) {}

    /** @throws UnsolvableNetwork */
    public static function of(Loop $loop): self
    {
        $network = new LoopNetwork($loop);
        $spilt = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $rows = $network->rows(self::inflows($loop, $network, $spilt));
            $given = (new Intake([...NetworkRows::inputs(), WaterInputs::temperature()]))->read($rows);
            $flow = (new Network(
                NetworkRows::surfaces($given),
                NetworkRows::links($given),
                NetworkRows::inflows($given),
            ))->solve();
            $answer = new self($loop, $network, $flow, $rows, $spilt);
            $next = $answer->spilling();
            $moved = max([
                0.0,
                ...array_map(static fn(string $id): float => abs($next[$id] - ($spilt[$id] ?? 0.0)), array_keys($next)),
            ]);
            $spilt = $next;
            if ($moved < self::SETTLED) {
                return new self($loop, $network, $flow, $rows, $spilt);
            }
        }

        throw UnsolvableNetwork::unsettled();
    }

    /**
     * What overflows send to stages and pumps; a vessel keeps its level whatever falls in.
     *
     * @param  array<string, float>  $spilt
     * @return array<string, float> L/h by point
     */
    private static function inflows(Loop $loop, LoopNetwork $network, array $spilt): array
    {
        $inflows = [];
        foreach ($loop->lines as $line) {
            if (
                $network->overflows($line) &&
                $line->open() &&
                $line->to->kind !== PlaceKind::Vessel &&
                ($spilt[$line->id] ?? 0.0) > 0
            ) {
                $point = $network->point($line->to, false);
                $inflows[$point] = ($inflows[$point] ?? 0.0) + $spilt[$line->id];
            }
        }

        return $inflows;
    }

    /** @return array<string, float> what each overflow carries when all that comes to its vessel leaves by it, L/h */
    private function spilling(): array
    {
        $spilling = [];
        foreach ($this->loop->vessels as $vessel) {
            $out = array_values(
                array_filter(
                    $this->loop->lines,
                    fn(LoopLine $line): bool => $this->network->overflows($line) &&
                        $line->open() &&
                        $line->from->id === $vessel->id,
                ),
            );
            $rim = array_sum(array_map(static fn(LoopLine $line): float => $line->boreMm, $out));
            $comes = $this->network->spills($vessel) ? max(0.0, $this->net($vessel)) : 0.0;
            foreach ($out as $line) {
                $spilling[$line->id] = ($comes * $line->boreMm) / $rim;
            }
        }

        return $spilling;
    }

    /** What comes to a vessel by pipes and falls, less what pipes and pumps take, L/h. */
    private function net(LoopVessel $vessel): float
    {
        $sum = 0.0;
        foreach ($this->loop->lines as $line) {
            if ($line->to->kind === PlaceKind::Vessel && $line->to->id === $vessel->id) {
                $sum += $this->lineFlow($line->id);
            }
            if (
                $line->from->kind === PlaceKind::Vessel &&
                $line->from->id === $vessel->id &&
                !$this->network->overflows($line)
            ) {
                $sum -= $this->lineFlow($line->id);
            }
        }

        return $sum;
    }

    /** L/h through a line, negative against its direction; 0 when it is shut or leads outside. */
    public function lineFlow(string $id): float
    {
        return $this->spilt[$id] ?? $this->flowOf('line', $id);
    }

    public function lineVelocity(LoopLine $line): float
    {
        return PipeInputs::m3s($this->lineFlow($line->id)) / ((M_PI / 4) * ($line->boreMm / 1000) ** 2);
    }

    /** Of a layer, what passes the chamber it lies in. */
    public function stageFlow(string $id): float
    {
        return $this->flowOf('stage', $this->chamberOf($id));
    }

    /** Head of the water where it comes into a stage, m above the water in the vessels; null when cut off. */
    public function headInto(string $stage): ?float
    {
        return $this->flow->heads[$this->network->point(Place::stage($stage), false)] ?? null;
    }

    /** The chamber a layer lies in; any other stage is its own. */
    public function chamberOf(string $stage): string
    {
        foreach ($this->loop->stages as $chamber) {
            foreach ($chamber->layers as $layer) {
                if ($layer->id === $stage) {
                    return $chamber->id;
                }
            }
        }

        return $stage;
    }

    /** Level of a chamber against the water in the vessels, m, where its water stands lowest; null when cut off. */
    public function stageLevel(string $id): ?float
    {
        $in = $this->flow->heads[$this->network->point(Place::stage($id), false)] ?? null;
        $out = $this->flow->heads[$this->network->point(Place::stage($id), true)] ?? null;

        return $in === null || $out === null ? null : min($in, $out);
    }

    public function pumpFlow(string $id): float
    {
        return $this->flowOf('pump', $id);
    }

    public function pumpHead(LoopPump $pump): ?float
    {
        return $pump->on ? $pump->curve->head(PipeInputs::m3s($this->pumpFlow($pump->id))) : null;
    }

    /** How far a vessel that spills over stands above the lip of its overflow, m; null for any other. */
    public function riseOverLip(LoopVessel $vessel): ?float
    {
        $out = array_filter(
            $this->loop->lines,
            fn(LoopLine $line): bool => $this->network->overflows($line) &&
                $line->open() &&
                $line->from->id === $vessel->id,
        );
        $rim = array_sum(array_map(static fn(LoopLine $line): float => (M_PI * $line->boreMm) / 1000, $out));
        $flow = array_sum(array_map(fn(LoopLine $line): float => $this->lineFlow($line->id), $out));

        return $out === [] || !$this->network->spills($vessel) ? null : OverflowLip::rise(PipeInputs::m3s($flow), $rim);
    }

    /**
     * The question to `flow.network` that proves the flow of a part, or the level of a point.
     *
     * @return array<string, mixed>
     */
    public function proof(string $ask): array
    {
        return [...$this->rows, 'ask' => $ask];
    }

    public function asked(string $kind, string $id): string
    {
        return $this->network->link($kind, $id);
    }

    /** The point where a chamber's water stands lowest. */
    public function lowestPoint(string $stage): string
    {
        $in = $this->network->point(Place::stage($stage), false);
        $out = $this->network->point(Place::stage($stage), true);

        return ($this->flow->heads[$in] ?? 0.0) <= ($this->flow->heads[$out] ?? 0.0) ? $in : $out;
    }

    /** What all returns bring back to the vessels, L/h. */
    public function returned(): float
    {
        $sum = 0.0;
        foreach ($this->loop->lines as $line) {
            if ($line->to->kind === PlaceKind::Vessel && $line->from->kind !== PlaceKind::Vessel) {
                $sum += max(0.0, $this->lineFlow($line->id));
            }
        }
        foreach ($this->loop->pumps as $pump) {
            $piped = array_filter(
                $this->loop->lines,
                static fn(LoopLine $line): bool => $line->from->kind === PlaceKind::Pump &&
                    $line->from->id === $pump->id,
            );
            $sum += $pump->insideVessel !== null && $piped === [] ? $this->pumpFlow($pump->id) : 0.0;
        }

        return $sum;
    }

    private function flowOf(string $kind, string $id): float
    {
        return PipeInputs::litresPerHour($this->flow->flows[$this->network->link($kind, $id)] ?? 0.0);
    }
}
