<?php

declare(strict_types=1);

namespace App\Build;

use App\Models\System;
use App\Models\Vessel;
use App\Models\WaterSource;
use Ironwort\Core\Exchange\Refill;

/** What puts water back into a system by itself: the float valve of one of its vessels; null where it has none. */
final readonly class RefillOf
{
    public static function system(System $system): ?Refill
    {
        $vessel = $system->vessels->first(static fn(Vessel $one): bool => $one->float_valve);
        $source =
            $vessel === null || $system->water_id === null
                ? null
                : WaterSource::query()->with('tests')->find($system->water_id);

        return $vessel === null || $source === null
            ? null
            : new Refill(
                vessel: $vessel->name,
                water: $source->name,
                rateLMin: $vessel->refill_l_min,
                chlorinated: $source->chlorinated(),
                chloramine: $source->chloramine(),
                // What was found behind it lets chlorine through already.
                unit: $source->mayBringChlorine() ? null : $source->unit_name,
                carbonL: $source->unit_carbon_l,
            );
    }
}
