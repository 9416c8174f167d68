<?php

declare(strict_types=1);

namespace App\Running;

use App\Models\Line;
use App\Models\Pump;
use App\Models\Switching;
use App\Models\System;
use App\Readings\LatestWater;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Flow\PumpOff;
use Ironwort\Core\Judge\OpenTimer;
use Ironwort\Core\Judge\State;

/** Whether water goes round a system, and for how long it has not. */
final readonly class Running
{
    public function __construct(private WithoutFlow $without) {}

    /** Null while anything moves the water round, or nothing is described that would. */
    public function standing(System $system, LatestWater $water): ?Standing
    {
        $pumps = self::circulating($system);
        $stand =
            $pumps->isEmpty() || $pumps->contains(static fn(Pump $pump): bool => $pump->running)
                ? $system->shutReturns()
                : $pumps->all();
        if ($stand === []) {
            return null;
        }
        // Water stood from when the last of them was switched off, or shut.
        $off = collect($stand)->map(
            static fn(Pump|Line $part): array => [
                Switching::latest($part->id)->happened_at ?? $part->updated_at,
                $part,
            ],
        );
        [$since, $last] = $off->sortByDesc(static fn(array $one): string => $one[0]->format('U.u'))->firstOrFail();
        $may = $this->without->of($system, $water);

        return new Standing($last, $since, $may, self::state($may, $since), $system->site->timezone);
    }

    /** @return Collection<int, Pump> what sends water round the loop */
    public static function circulating(System $system): Collection
    {
        return $system->pumps->filter(static fn(Pump $pump): bool => $pump->circulates())->values();
    }

    private static function state(PumpOff $may, Carbon $since): State
    {
        return OpenTimer::of($may->minutes, null)->state(max(0.0, $since->diffInMinutes(Carbon::now())));
    }
}
