<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\AirOutlet;
use App\Models\Pump;
use App\Models\System;

/** Where the air of each air pump comes out, and how much of it. */
final readonly class AirReport
{
    /**
     * @return list<array{pump: string, running: bool, air_l_min: float, fish_l_min: float,
     *     outlets: list<array{id: string, name: string, to: string, fish: bool, state: string, air_l_min: float}>}>
     */
    public static function of(System $system): array
    {
        $rows = [];
        foreach ($system->pumps->where('kind', 'air') as $pump) {
            $split = AirOutlet::split($system, $pump);
            if ($split === null) {
                continue;
            }
            $each = $pump->running ? $split->each() : [];
            $rows[] = [
                'pump' => $pump->name,
                'running' => $pump->running,
                'air_l_min' => $pump->running ? (float) $pump->air_l_min : 0.0,
                'fish_l_min' => $pump->running ? $split->toFish() : 0.0,
                'outlets' => self::outlets($system, $pump, $each),
            ];
        }

        return $rows;
    }

    /**
     * @param  array<string, float>  $each  L/min by outlet
     * @return list<array{id: string, name: string, to: string, fish: bool, state: string, air_l_min: float}>
     */
    private static function outlets(System $system, Pump $pump, array $each): array
    {
        return array_values(
            $system->airOutlets
                ->where('pump_id', $pump->id)
                ->map(
                    static fn(AirOutlet $one): array => [
                        'id' => $one->id,
                        'name' => $one->name,
                        'to' =>
                            $system->vessels->firstWhere('id', $one->vessel_id)->name ??
                            ($system->stages->firstWhere('id', $one->stage_id)->name ?? ''),
                        'fish' => $one->vessel_id !== null,
                        'state' => $one->valve ? ($one->open ? 'open' : 'shut') : 'none',
                        'air_l_min' => $each[$one->id] ?? 0.0,
                    ],
                )
                ->all(),
        );
    }
}
