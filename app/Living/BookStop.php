<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\Setback;
use App\Models\Stage;
use App\Models\System;
use App\Models\WaterChange;
use Illuminate\Support\Str;
use Ironwort\Core\Filter\MediaTable;
use Ironwort\Core\Filter\StageKinds;
use Ironwort\Core\Filter\Stop;

/** Books what a filter lost while its pump was off, once flow is seen again. */
final readonly class BookStop
{
    public function __construct(private StageKinds $kinds, private MediaTable $media, private Past $past) {}

    public function after(System $system, WaterChange $change, float $hours, string $userId): void
    {
        $stages = $system->stages->filter($this->past->carries(...))->values();
        $stop = Stop::of(
            $hours,
            array_values(
                $stages
                    ->map(
                        fn(Stage $stage): array => [
                            'packed' => $this->kinds->get($stage->kind)->packed,
                            'carries' =>
                                $this->kinds->get($stage->kind)->r20 *
                                $stage->media_l *
                                ($stage->medium === null
                                    ? $stage->area_m2_m3 ?? 0.0
                                    : $this->media->get($stage->medium)->areaM2M3),
                        ],
                    )
                    ->all(),
            ),
        );
        if ($stop === null) {
            return;
        }
        Setback::query()->create([
            'id' => strtoupper((string) Str::ulid()),
            'site_id' => $system->site_id,
            'system_id' => $system->id,
            'user_id' => $userId,
            'happened_on' => now($system->site->timezone)->toDateString(),
            'kind' => $stop->deed->value,
            'hours' => $hours,
            'share_pct' => 100.0,
            'lost_pct' => $stop->lost,
            'low_pct' => $stop->low,
            'high_pct' => $stop->high,
            'change_id' => $change->id,
        ]);
    }
}
