<?php

declare(strict_types=1);

namespace App\Running;

use App\Models\Pump;
use Illuminate\Support\Carbon;
use Ironwort\Core\Flow\PumpOff;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** A system through which nothing flows. */
final readonly class Standing
{
    /** @param  Pump  $pump  the last that was switched off */
    public function __construct(
        public Pump $pump,
        public Carbon $since,
        public PumpOff $may,
        public State $state,
        private string $timezone,
    ) {}

    public function message(): Message
    {
        $left = $this->may->minutes - $this->since->diffInMinutes(Carbon::now());

        return Message::of($left <= 0 ? "flow.stands_over_{$this->may->decides}" : 'flow.stands', [
            'pump' => $this->pump->name,
            'since' => $this->since->copy()->setTimezone($this->timezone)->format('j M H:i'),
            'left' => self::span(max(0.0, $left)),
        ]);
    }

    private static function span(float $minutes): string
    {
        return $minutes < 90
            ? Format::number(floor($minutes), 3) . ' min'
            : Format::number(floor($minutes / 6) / 10, 3) . ' h';
    }
}
