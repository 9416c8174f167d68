<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\LineElement;
use Ironwort\Core\Flow\Link;
use Ironwort\Core\Flow\Network;
use Ironwort\Core\Flow\NetworkFlow;
use Ironwort\Core\Flow\Pipe;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Flow\PumpElement;
use Ironwort\Core\Flow\ResistanceElement;
use Ironwort\Core\Flow\UnsolvableNetwork;
use Ironwort\Core\Flow\Valve;

/**
 * The flows of a loop as built, and how far its chambers are drawn down.
 *
 * Flows in L/h, heads and levels in m relative to the water in the vessels, velocities in m/s.
 *
 * @see Network for the method and its source
 */
final readonly class LoopFlow
{
    /** @param  array<string, float>  $velocities  by line */
    private function __construct(private Loop $loop, private NetworkFlow $flow, private array $velocities)
    {
    }

    /** @throws UnsolvableNetwork */
    public static function of(Loop $loop): self
    {
        $surfaces = [];
        foreach ($loop->vessels as $vessel) {
            $surfaces["vessel {$vessel->id}"] = 0.0;
        }
        $links = [];
        $pipes = [];
        foreach ($loop->lines as $line) {
            if ($line->shut() || $line->waste || $line->from->kind === PlaceKind::Outside || $line->to->kind === PlaceKind::Outside) {
                continue;
            }
            $to = self::end($line->to, false);
            if ($line->to->kind === PlaceKind::Vessel && $line->endsAboveM > 0) {
                // A return that falls to the water works against the height of its lip.
                $to = "lip {$line->id}";
                $surfaces[$to] = $line->endsAboveM;
            }
            $valve = $line->valveOpenPct === null ? 0.0 : (float) Valve::k($line->valveOpenPct);
            $pipe = new Pipe($line->boreMm / 1000, $line->lengthM, $line->fittingsK + $valve, tempC: $loop->tempC);
            $pipes[$line->id] = $pipe;
            $links[] = new Link("line {$line->id}", self::end($line->from, true), $to, new LineElement($pipe, $line->checkValve));
        }
        foreach ($loop->stages as $stage) {
            $links[] = new Link("stage {$stage->id}", "stage {$stage->id} in", "stage {$stage->id} out", new ResistanceElement($stage->lossAtM3s, $stage->lossM));
        }
        foreach ($loop->pumps as $pump) {
            if ($pump->on) {
                $links[] = new Link("pump {$pump->id}", "pump {$pump->id} in", "pump {$pump->id} out", new PumpElement($pump->curve));
            }
        }
        $flow = (new Network($surfaces, $links))->solve();
        $velocities = [];
        foreach ($pipes as $id => $pipe) {
            $velocities[$id] = $pipe->velocity($flow->flows["line {$id}"]);
        }

        return new self($loop, $flow, $velocities);
    }

    /** L/h through a line, negative against its direction; 0 when it is shut or leads outside. */
    public function lineFlow(string $id): float
    {
        return PipeInputs::litresPerHour($this->flow->flows["line {$id}"] ?? 0.0);
    }

    public function lineVelocity(string $id): float
    {
        return $this->velocities[$id] ?? 0.0;
    }

    /** Head a line loses over its length and fittings, m. */
    public function lineLoss(LoopLine $line): float
    {
        $from = $this->flow->heads[self::end($line->from, true)] ?? null;
        $to = $line->endsAboveM > 0 && $line->to->kind === PlaceKind::Vessel ? $line->endsAboveM : ($this->flow->heads[self::end($line->to, false)] ?? null);

        return $from === null || $to === null || ! isset($this->velocities[$line->id]) ? 0.0 : $from - $to;
    }

    public function stageFlow(string $id): float
    {
        return PipeInputs::litresPerHour($this->flow->flows["stage {$id}"] ?? 0.0);
    }

    /** Level of a chamber against the water in the vessels, m, where its water stands lowest; null when cut off. */
    public function stageLevel(string $id): ?float
    {
        $in = $this->flow->heads["stage {$id} in"] ?? null;
        $out = $this->flow->heads["stage {$id} out"] ?? null;

        return $in === null || $out === null ? null : min($in, $out);
    }

    public function pumpFlow(string $id): float
    {
        return PipeInputs::litresPerHour($this->flow->flows["pump {$id}"] ?? 0.0);
    }

    public function pumpHead(LoopPump $pump): ?float
    {
        return $pump->on ? $pump->curve->head($this->flow->flows["pump {$pump->id}"] ?? 0.0) : null;
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

        return $sum;
    }

    private static function end(Place $place, bool $leaving): string
    {
        return match ($place->kind) {
            PlaceKind::Vessel => "vessel {$place->id}",
            PlaceKind::Stage => "stage {$place->id} ".($leaving ? 'out' : 'in'),
            PlaceKind::Pump => "pump {$place->id} ".($leaving ? 'out' : 'in'),
            PlaceKind::Outside => 'outside',
        };
    }
}
