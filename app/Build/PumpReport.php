<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Pump;
use Ironwort\Core\Loop\Loop;
use Ironwort\Core\Loop\LoopFlow;
use Ironwort\Core\Loop\LoopPump;

/** What a pump moves, against what, and what it costs. */
final readonly class PumpReport
{
    /** @return array<string, mixed> */
    public static function of(Pump $pump, Loop $loop, ?LoopFlow $flow): array
    {
        $built =
            array_values(
                array_filter($loop->pumps, static fn(LoopPump $candidate): bool => $candidate->id === $pump->id),
            )[0] ?? null;

        return [
            'id' => $pump->id,
            'name' => $pump->name,
            'kind' => $pump->kind,
            'running' => $pump->running,
            'circuit' => $pump->circuit,
            'power_w' => $pump->power_w,
            'kwh_d' => $pump->running ? 0.024 * $pump->power_w : 0.0,
            'flow_l_h' => $built === null ? ($pump->running ? $pump->rated_l_h : 0.0) : $flow?->pumpFlow($pump->id),
            'head_m' => $built === null ? null : $flow?->pumpHead($built),
            'ask' => $built === null || !$built->on ? null : $flow?->asked('pump', $pump->id),
            'vessel_id' => $pump->vessel_id,
            'air_l_min' => $pump->air_l_min,
        ];
    }
}
