<?php

declare(strict_types=1);

namespace App\Running;

use App\Models\Line;
use App\Models\Pump;
use App\Models\Switching;
use Illuminate\Support\Carbon;
use Ironwort\Core\Flow\PumpOff;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Span;
use Ironwort\Core\Words\Message;

/** A system through which nothing flows. */
final readonly class Standing
{
    /** @param  Pump|Line  $part  the last that was switched off, or shut */
    public function __construct(
        public Pump|Line $part,
        public Carbon $since,
        public PumpOff $may,
        public State $state,
        private string $timezone,
    ) {}

    public function message(): Message
    {
        $left = $this->may->minutes - $this->since->diffInMinutes(Carbon::now());

        $over = match ($this->may->decides) {
            'oxygen' => 'flow.stands_over_oxygen',
            'ammonia' => 'flow.stands_over_ammonia',
            default => 'flow.stands_over_filter',
        };

        return Message::of($left <= 0 ? $over : 'flow.stands', [
            'pump' => $this->part->name,
            'off' => Switching::said('off', $this->part instanceof Line ? 'valve' : 'pump'),
            'since' => $this->since->copy()->setTimezone($this->timezone)->format('j M H:i'),
            'left' => Span::text(max(0.0, $left)),
        ]);
    }
}
