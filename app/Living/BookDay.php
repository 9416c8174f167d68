<?php

declare(strict_types=1);

namespace App\Living;

/** Days of the book by their dates: a past is gone through by the hundred of them. */
final class BookDay
{
    private const A_DAY_S = 86400;

    /** Since the beginning of 1970. */
    public static function number(string $date): int
    {
        return intdiv((int) strtotime("{$date} UTC"), self::A_DAY_S);
    }

    public static function later(string $date, int $days): string
    {
        return gmdate('Y-m-d', (self::number($date) + $days) * self::A_DAY_S);
    }

    /** The Monday of its week. */
    public static function monday(string $date): string
    {
        return self::later($date, -((self::number($date) + 3) % 7));
    }
}
