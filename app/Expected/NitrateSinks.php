<?php

declare(strict_types=1);

namespace App\Expected;

use App\Models\Stage;
use App\Models\System;
use Illuminate\Support\Carbon;
use Ironwort\Core\Measure\CalendarSeason;

/** What takes nitrate in a system: its plants wherever they stand, its bogs, its media, and microbes fed on carbon. */
final readonly class NitrateSinks
{
    /**
     * @param  float  $nitrate  mg/L as N
     * @return array<string, float|string> input of `nitrate.sinks`, without what is made and changed
     */
    public static function of(System $system, float $nitrate, float $tempC): array
    {
        return [
            'no3_n_mg_l' => $nitrate,
            'temp_c' => $tempC,
            'plants_m2' => $system->plantsM2(),
            'bog_m2' => $system->bogM2(),
            'denitrifying_l' => (float) $system->stages->sum(
                static fn(Stage $stage): float => $stage->kind === 'denitrifying' ? $stage->media_l : 0.0,
            ),
            'carbon_g_d' => $system->feed()->carbon_g_d ?? 0.0,
            'season' => CalendarSeason::ofMonth(Carbon::now($system->site->timezone)->month)->value,
        ];
    }
}
