<?php

declare(strict_types=1);

namespace App\Forms;

use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** A time at which something happened, as typed; empty is now. */
final readonly class Moment
{
    /** Clocks of two machines differ a little. */
    private const LEEWAY_MIN = 2;

    /** @throws BadInput at the field: not a time, still to come, or more than a year ago */
    public static function past(mixed $typed, string $field): Carbon
    {
        if (!is_string($typed) || trim($typed) === '') {
            return Carbon::now();
        }
        try {
            $at = Carbon::parse($typed);
        } catch (\Exception) {
            throw BadInput::at($field, 'Write the time as 2026-05-31T07:10:00Z.');
        }

        return match (true) {
            $at->isAfter(Carbon::now()->addMinutes(self::LEEWAY_MIN)) => throw BadInput::at(
                $field,
                'This time is still to come.',
            ),
            $at->isBefore(Carbon::now()->subYear()) => throw BadInput::at($field, 'That is more than a year ago.'),
            default => $at->utc(),
        };
    }
}
