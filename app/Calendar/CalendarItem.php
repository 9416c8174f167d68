<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Models\System;
use Illuminate\Support\Carbon;

/** Something that is due on a day: a test, a job of service, a dose, stock that expires. */
final readonly class CalendarItem
{
    /**
     * @param  string  $key  the same for the same thing, whenever it is asked for
     * @param  'test'|'service'|'dose'|'quarantine'|'expiry'  $kind
     * @param  Carbon  $at  when it is due; past where it is over
     * @param  ?float  $everyD  where it comes again, days
     * @param  ?int  $minutes  it takes
     */
    public function __construct(
        public string $key,
        public string $kind,
        public ?System $system,
        public string $text,
        public Carbon $at,
        public ?float $everyD = null,
        public ?int $minutes = null,
    ) {}

    public function late(): bool
    {
        return $this->at->lt(Carbon::now()->startOfDay());
    }
}
