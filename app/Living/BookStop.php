<?php

declare(strict_types=1);

namespace App\Living;

use App\Models\Setback;
use App\Models\Stage;
use App\Models\Switching;
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

    /** After a change of water with the pump off. */
    public function after(System $system, WaterChange $change, float $hours, string $userId): void
    {
        $this->book($system, $hours, $userId, ['change_id' => $change->id]);
    }

    /** After a pump that stood was switched on. */
    public function switched(System $system, Switching $on, float $hours, string $userId): void
    {
        $this->book($system, $hours, $userId, ['switching_id' => $on->id]);
    }

    /** How long the filter may stand, minutes; null where there is none. */
    public function mayStandMin(System $system): ?float
    {
        return Stop::mayStandMin($this->stages($system));
    }

    /** @return list<array{packed: bool, carries: float}> */
    private function stages(System $system): array
    {
        return array_values(
            $system->stages
                ->filter($this->past->carries(...))
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
        );
    }

    /** @param  array<string, string>  $cause  the key of what it came from */
    private function book(System $system, float $hours, string $userId, array $cause): void
    {
        $stop = Stop::of($hours, $this->stages($system));
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
            ...$cause,
        ]);
    }
}
