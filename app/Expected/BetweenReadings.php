<?php

declare(strict_types=1);

namespace App\Expected;

use App\Models\MeterReading;
use App\Models\System;
use App\Models\Trickle;
use App\Models\WaterChange;
use Illuminate\Support\Carbon;
use Ironwort\Core\Exchange\Metered;

/** The last two readings of a system's water meter, and what was booked and said between them. */
final readonly class BetweenReadings
{
    /** Readings older than this tell nothing of how the water runs in now, days. */
    private const DAYS = 28;

    /** Readings nearer to each other than this tell more of the meter than of the water, hours. */
    private const SHORTEST_H = 6;

    private function __construct(public Metered $metered, public Carbon $from, public Carbon $to) {}

    /** Null where the meter was not read twice in these weeks, or a trickle was opened or shut between its readings. */
    public static function of(System $system): ?self
    {
        [$new, $old] = [...MeterReading::latest($system, 2), null, null];
        if ($new === null || $old === null || $old->read_at->lt(Carbon::now()->subDays(self::DAYS))) {
            return null;
        }
        $hours = $old->read_at->diffInHours($new->read_at);
        if ($hours < self::SHORTEST_H) {
            return null;
        }
        $between = Trickle::query()
            ->where('system_id', $system->id)
            ->where('started_at', '<', $new->read_at)
            ->where(static fn($query) => $query->whereNull('ended_at')->orWhere('ended_at', '>', $old->read_at))
            ->get();
        $whole = $between->first(
            static fn(Trickle $one): bool => $one->started_at->lte($old->read_at) &&
                ($one->ended_at === null || $one->ended_at->gte($new->read_at)),
        );
        if ($between->count() > ($whole === null ? 0 : 1)) {
            return null;
        }
        $booked = WaterChange::query()
            ->where('system_id', $system->id)
            ->whereNull('withdrawn_at')
            ->where('changed_at', '>', $old->read_at)
            ->where('changed_at', '<=', $new->read_at)
            ->sum('litres');

        return new self(
            new Metered($new->litres - $old->litres, (float) $booked, $hours, $whole?->flow_l_h),
            $old->read_at,
            $new->read_at,
        );
    }
}
