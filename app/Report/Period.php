<?php

declare(strict_types=1);

namespace App\Report;

use Illuminate\Support\Carbon;
use Ironwort\Core\Calc\BadInput;

/** A month or a year in the zone of a yard. */
final readonly class Period
{
    private function __construct(public string $name, public Carbon $from, public Carbon $until) {}

    /**
     * @param  mixed  $typed  `2026-11` or `2026`; empty is this month
     *
     * @throws BadInput at `period`
     */
    public static function read(mixed $typed, string $zone): self
    {
        $text = is_string($typed) && $typed !== '' ? $typed : Carbon::now($zone)->format('Y-m');
        if (preg_match('/^(\d{4})(?:-(0[1-9]|1[0-2]))?$/', $text, $found) !== 1 || (int) $found[1] < 2000) {
            throw BadInput::at('period', 'A year or a month, as 2026 or 2026-11.');
        }
        $month = $found[2] ?? '';
        $from = Carbon::parse($month === '' ? "{$found[1]}-01-01" : "{$text}-01", $zone)->startOfDay();
        $until = $month === '' ? $from->copy()->addYear() : $from->copy()->addMonth();

        return new self($text, $from->copy()->utc(), $until->copy()->utc());
    }

    /** How much of it has passed, days. */
    public function days(): float
    {
        return max(0.0, $this->from->diffInDays($this->until->min(Carbon::now())));
    }
}
