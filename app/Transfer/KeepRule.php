<?php

declare(strict_types=1);

namespace App\Transfer;

use Illuminate\Support\Carbon;

/**
 * Which backups stay: all of the last two days, then the newest of each day for a week, of each week for five weeks, of
 * each month for a year; and the newest three that were made before an upgrade.
 */
final readonly class KeepRule
{
    private const ALL_H = 48;

    private const DAYS = 7;

    private const WEEKS = 5;

    private const MONTHS = 12;

    private const UPGRADES = 3;

    /**
     * @param  array<string, Carbon>  $made  when, by file
     * @param  list<string>  $upgrades  files that were made before an upgrade
     * @return list<string> files that may go
     */
    public static function spare(array $made, array $upgrades, Carbon $now): array
    {
        uasort($made, static fn(Carbon $a, Carbon $b): int => $b <=> $a);
        $kept = array_slice(array_values(array_intersect(array_keys($made), $upgrades)), 0, self::UPGRADES);
        $spans = [
            'o-\WW' => $now->copy()->subWeeks(self::WEEKS),
            'Y-m' => $now->copy()->subMonths(self::MONTHS),
            'Y-m-d' => $now->copy()->subDays(self::DAYS),
        ];
        $seen = [];
        foreach ($made as $file => $at) {
            if ($at->gt($now->copy()->subHours(self::ALL_H))) {
                $kept[] = $file;
            }
            foreach ($spans as $span => $from) {
                $key = $at->format($span);
                if ($at->gt($from) && !isset($seen[$key])) {
                    $seen[$key] = true;
                    $kept[] = $file;
                }
            }
        }

        return array_values(array_diff(array_keys($made), $kept));
    }
}
