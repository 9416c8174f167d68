<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/** How long ago something was, in a word or two. */
final readonly class Age
{
    public static function of(Carbon $then): string
    {
        $minutes = (int) round(abs(self::now() - $then->getTimestamp()) / 60);

        return match (true) {
            $minutes < 2 => 'just now',
            $minutes < 90 => "{$minutes} min ago",
            $minutes < 48 * 60 => round($minutes / 60) . ' h ago',
            $minutes < 60 * 24 * 60 => round($minutes / 1440) . ' days ago',
            default => round($minutes / 43800) . ' months ago',
        };
    }

    /** The instant that a page is read at, seconds since 1970, without making a date of it each time. */
    public static function now(): int
    {
        return Carbon::hasTestNow() ? Carbon::getTestNow()->getTimestamp() : time();
    }
}
