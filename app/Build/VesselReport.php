<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Vessel;
use App\Volumes\LoopSums;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Loop\Current;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopVessel;
use Ironwort\Core\Loop\VesselCheck;

/** The level of a vessel while the loop runs, how fast it moves, and what it may lose. */
final readonly class VesselReport
{
    public function __construct(private Registry $registry, private LoopSums $systems) {}

    /** @return array<string, mixed> */
    public function of(Vessel $vessel, LoopVessel $built, Loop $loop, ?LoopFlow $flow, bool $cut): array
    {
        $rise = $flow?->riseOverLip($built);
        $perCm =
            $vessel->may_fall_mm === null
                ? null
                : $this->registry->run('volume.vessel', $vessel->calculation())->figures['per_cm_l'];

        return [
            'id' => $vessel->id,
            'name' => $vessel->name,
            'kind' => $vessel->kind,
            'holds_fish' => $vessel->holdsFish(),
            'volume_l' => $this->systems->vessel($vessel)->value,
            'level_mm' => $vessel->level_mm,
            'rise_mm' => $rise === null ? null : 1000 * $rise,
            'may_fall_mm' => $vessel->may_fall_mm,
            'may_lose_l' => is_float($perCm) ? ($perCm * (float) $vessel->may_fall_mm) / 10 : null,
            'shut_off' => $cut,
            'stagnant' => $flow === null ? null : VesselCheck::stagnant($loop, $built),
            'current_cm_s' =>
                ($current = $flow === null ? null : Current::of($loop, $flow, $built)) === null
                    ? null
                    : 100 * $current->metresS,
            'current_lengths_s' => $current?->lengths($built),
        ];
    }
}
