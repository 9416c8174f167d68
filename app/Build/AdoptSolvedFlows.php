<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\Stage;
use App\Models\System;
use Illuminate\Support\Facades\DB;

/**
 * Makes the capacity reckon with the flows the loop really has.
 *
 * The head a stage loses was given at its old flow; it is carried along with the square of flow, so
 * that the stage itself stays what it was and the loop solves the same.
 */
final readonly class AdoptSolvedFlows
{
    private const LEAST_L_H = 1.0;

    /** A flow that differs by less is the same, solved anew. */
    private const SAME = 0.001;

    /** @param  list<array{id: string, flow_l_h: ?float}>  $solved  by stage */
    public function adopt(System $system, array $solved): void
    {
        DB::transaction(static function () use ($system, $solved): void {
            foreach ($solved as $flow) {
                $stage = $system->stages->firstWhere('id', $flow['id']);
                if (
                    !($stage instanceof Stage) ||
                    $flow['flow_l_h'] === null ||
                    $flow['flow_l_h'] < self::LEAST_L_H ||
                    $stage->flow_l_h < self::LEAST_L_H ||
                    abs($flow['flow_l_h'] - $stage->flow_l_h) < self::SAME * $stage->flow_l_h
                ) {
                    continue;
                }
                $stage->loss_mm = min(20000.0, $stage->loss_mm * ($flow['flow_l_h'] / $stage->flow_l_h) ** 2);
                $stage->flow_l_h = $flow['flow_l_h'];
                $stage->save();
            }
        });
    }
}
