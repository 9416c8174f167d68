<?php

declare(strict_types=1);

namespace App\Forms;

use Ironwort\Core\Calc\BadInput;

/** A day of the calendar as a form sends it. */
final readonly class Day
{
    /**
     * @param  array<array-key, mixed>  $typed
     * @return ?string the day as 2026-05-31; null where none was given
     *
     * @throws BadInput at the key, for what is no day or still to come
     */
    public static function read(array $typed, string $key): ?string
    {
        $day = self::coming($typed, $key);
        if ($day !== null && \Illuminate\Support\Carbon::parse($day)->isAfter(now()->addDay())) {
            throw BadInput::at($key, 'This day is still to come.');
        }

        return $day;
    }

    /**
     * A day that may still be to come, as one on which something goes off.
     *
     * @param  array<array-key, mixed>  $typed
     *
     * @throws BadInput at the key, for what is no day
     */
    public static function coming(array $typed, string $key): ?string
    {
        $text = is_string($typed[$key] ?? null) ? trim($typed[$key]) : '';
        $day = $text === '' ? null : \DateTimeImmutable::createFromFormat('!Y-m-d', $text);

        return $day === false || ($day !== null && $day->format('Y-m-d') !== $text)
            ? throw BadInput::at($key, 'Write the day as 2026-05-31.')
            : $day?->format('Y-m-d');
    }
}
