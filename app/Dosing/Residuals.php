<?php

declare(strict_types=1);

namespace App\Dosing;

use App\Models\Dose;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use App\Reports\Body;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Calc\Registry;
use Ironwort\Core\Dose\AgentTable;
use Ironwort\Core\Dose\BoundAmmonia;
use Ironwort\Core\Dose\Standing;

/** What is left of what was dosed, after its own decay, every change and every trickle in the book. */
final readonly class Residuals
{
    public function __construct(private Registry $registry, private AgentTable $agents)
    {
    }

    /**
     * @return array<string, array{name: string, mg_l: ?float, since: Carbon}> by thing, of one body of water now
     */
    public function now(System $system, Body $body): array
    {
        $present = [];
        foreach ($this->doses($system, $body) as $dose) {
            if ($dose->way !== 'prolonged' && ($dose->ended_at !== null || ! $dose->running())) {
                continue;
            }
            $left = $this->left($system, $dose, Carbon::now());
            if ($left === null || ($dose->mg_l !== null && $left < Standing::GONE * $dose->mg_l)) {
                continue;
            }
            $before = $present[$dose->thing]['mg_l'] ?? null;
            $present[$dose->thing] = ['name' => $dose->name, 'mg_l' => $dose->mg_l === null ? null : $left + ($before ?? 0.0), 'since' => $dose->given_at];
        }

        return $present;
    }

    /** What is left of one dose at a time, mg/L; 0 for what has no figure and is there still; null when gone. */
    public function left(System $system, Dose $dose, Carbon $at): ?float
    {
        $days = $dose->given_at->diffInDays($at);
        if ($dose->thing === 'binder' || $dose->thing === 'thiosulfate') {
            return $days <= BoundAmmonia::HOURS / 24 ? 0.0 : null;
        }
        if ($dose->mg_l === null || $dose->mg_l <= 0) {
            return $dose->thing === 'own' && $days <= Standing::UNKNOWN_D ? 0.0 : null;
        }

        return $this->registry->run('dose.residual', $this->input($system, $dose, $at))->number('residual_mg_l');
    }

    /**
     * Input of `dose.residual` for one dose up to a time.
     *
     * @return array<string, mixed>
     */
    public function input(System $system, Dose $dose, Carbon $at, ?float $target = null): array
    {
        $hours = max(0.0, $dose->given_at->diffInSeconds($at) / 3600);
        $half = ($this->agents->agents[$dose->thing] ?? null)?->halfLifeH;
        $input = ['volume_l' => $dose->volume_l, 'dose_mg_l' => (float) $dose->mg_l, 'target_mg_l' => $target ?? (float) $dose->mg_l, 'hours' => $hours, ...($half === null ? [] : ['half_life_h' => $half])];
        $changes = [];
        foreach ($this->changes($system, $dose, $at) as $change) {
            $changes[] = ['at_h' => min($hours, $dose->given_at->diffInSeconds($change->changed_at) / 3600), 'change_pct' => min(100.0, 100 * $change->litres / $change->volume_l)];
        }

        return [...$input, 'changes' => $changes, 'flow_l_h' => $hours > 0 && $dose->vessel_id === null ? $this->trickled($system, $dose->given_at, $at) / $hours : 0.0];
    }

    /** @return Collection<int, WaterChange> of the same body of water: a bay that is shut off takes no part in those of its loop */
    private function changes(System $system, Dose $dose, Carbon $to): Collection
    {
        /** @var Collection<int, WaterChange> $changes */
        $changes = WaterChange::query()->where('system_id', $system->id)->whereNull('withdrawn_at')->where('kind', 'batch')->where('vessel_id', $dose->vessel_id)->whereBetween('changed_at', [$dose->given_at, $to->copy()->addSecond()])->orderBy('changed_at')->limit(1000)->get();

        return $changes;
    }

    /** Litres that trickled in over a time. */
    private function trickled(System $system, Carbon $from, Carbon $to): float
    {
        /** @var Collection<int, Trickle> $trickles */
        $trickles = Trickle::query()->where('system_id', $system->id)->where('started_at', '<', $to)->where(static fn ($query) => $query->whereNull('ended_at')->orWhere('ended_at', '>', $from))->limit(200)->get();

        return (float) $trickles->sum(static fn (Trickle $trickle): float => $trickle->flow_l_h * max(0.0, $trickle->started_at->max($from)->diffInSeconds(($trickle->ended_at ?? $to)->min($to)) / 3600));
    }

    /** @return Collection<int, Dose> oldest first */
    private function doses(System $system, Body $body): Collection
    {
        /** @var Collection<int, Dose> $doses */
        $doses = Dose::query()->where('system_id', $system->id)->whereNull('withdrawn_at')->where('vessel_id', $body->vesselId)->where('given_at', '>=', Carbon::now()->subDays(Standing::BACK_D))->orderBy('given_at')->limit(500)->get();

        return $doses;
    }
}
