<?php

declare(strict_types=1);

namespace App\Forms;

use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** A time at which something happened, as typed; empty is now. */
final readonly class Moment
{
    /** @throws BadInput at the field: not a time, still to come, or more than a year ago */
    public static function past(mixed $typed, string $field, string $zone): Carbon
    {
        if ($typed === null || $typed === '') {
            return Carbon::now();
        }
        $at = LocalTime::past(is_string($typed) ? $typed : '?', $zone, $field);

        return $at->isBefore(Carbon::now()->subYear())
            ? throw BadInput::at($field, 'This is more than a year ago.')
            : $at;
    }
}
