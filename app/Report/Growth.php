<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\FishGroup;
use App\Models\FishMeasure;
use App\Models\System;
use Ironwort\Core\Measure\Format;

/** What the fish that are in a system now grew in a period, from what was measured; nothing is reckoned. */
final readonly class Growth
{
    /** @return list<ReportRow> */
    public static function of(System $system, Period $period): array
    {
        $zone = $system->site->timezone;
        $first = $period->from->copy()->setTimezone($zone)->toDateString();
        $after = $period->until->copy()->setTimezone($zone)->toDateString();
        $rows = [];
        foreach ($system->fish()->with('measures')->get() as $group) {
            $rows[] =
                self::row($group, $first, $after, 'weight_g', 'g') ??
                self::row($group, $first, $after, 'length_cm', 'cm');
        }

        return array_values(array_filter($rows));
    }

    /** From the last measure before the period, or the first in it, to the last in it. */
    private static function row(FishGroup $group, string $first, string $after, string $key, string $unit): ?ReportRow
    {
        $of = static fn(FishMeasure $one): float => (float) ($key === 'weight_g' ? $one->weight_g : $one->length_cm);
        $day = static fn(FishMeasure $one): string => $one->measured_on->toDateString();
        $told = $group->measures->filter(static fn(FishMeasure $one): bool => $of($one) > 0 && $day($one) < $after);
        $inside = $told->filter(static fn(FishMeasure $one): bool => $day($one) >= $first);
        $last = $inside->last();
        $from = $told->filter(static fn(FishMeasure $one): bool => $day($one) < $first)->last() ?? $inside->first();
        if ($last === null || $from === null || $from->is($last)) {
            return null;
        }
        $days = (int) round($from->measured_on->diffInDays($last->measured_on));
        $gained = 100 * ($of($last) / $of($from) - 1);

        return new ReportRow(
            'fish',
            "Growth of {$group->name}",
            Format::number($of($from), 3) .
                " {$unit} on {$from->measured_on->format('j M')} to " .
                Format::number($of($last), 3) .
                " {$unit} on {$last->measured_on->format('j M')}, " .
                ($gained < 0 ? Format::number(-$gained, 2) . ' % less' : Format::number($gained, 2) . ' % more') .
                ($days === 1 ? ' in a day' : " in {$days} days"),
            $gained,
            '%',
        );
    }
}
