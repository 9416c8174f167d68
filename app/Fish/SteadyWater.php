<?php

declare(strict_types=1);

namespace App\Fish;

use App\Models\Reading;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Fish\SteadyTemperature;
use Ironwort\Core\Judge\Parameter;

/** The steady temperature of a system's water, from its book. */
final readonly class SteadyWater
{
    /** @param  float  $today  °C, the newest reading or what is assumed */
    public function temperature(System $system, float $today): float
    {
        $now = Carbon::now();
        $week = [];
        $rows = Reading::query()
            ->join('visits', 'visits.id', '=', 'readings.visit_id')
            ->whereNull('visits.withdrawn_at')
            ->where('readings.system_id', $system->id)
            ->where('readings.parameter', Parameter::Temperature->value)
            ->whereBetween('readings.taken_at', [$now->copy()->subDays(SteadyTemperature::DAYS), $now])
            ->orderBy('readings.taken_at')
            ->get(['readings.taken_at', 'readings.value']);
        foreach ($rows as $row) {
            $week[$row->taken_at->toDateString()][] = $row->value;
        }

        return SteadyTemperature::of($today, $week);
    }

    /** Mean of what was read between two instants, °C; null where nobody measured. */
    public function mean(System $system, Carbon $from, Carbon $to): ?float
    {
        $mean = Reading::query()
            ->join('visits', 'visits.id', '=', 'readings.visit_id')
            ->whereNull('visits.withdrawn_at')
            ->where('readings.system_id', $system->id)
            ->where('readings.parameter', Parameter::Temperature->value)
            ->whereBetween('readings.taken_at', [$from, $to])
            ->avg('readings.value');

        return is_numeric($mean) ? (float) $mean : null;
    }
}
