<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The least that a school of changing water asks for in a week, against what went in the last seven days: it carries
 * off what no kit measures, and stands even where every reading is clean.
 *
 * @source cp-exchange
 */
final readonly class LeastExchange
{
    /**
     * @param  string  $school  its name
     * @param  float  $shareWeek  of the volume, 0 or more; 0 where the school asks for none
     * @param  float  $doneL  changed in the last seven days, by batches and trickle
     */
    public function __construct(
        private string $school,
        private float $shareWeek,
        private float $volumeL,
        public float $doneL,
    ) {}

    /** What is asked for in a week, litres. */
    public function weekL(): float
    {
        return $this->shareWeek * $this->volumeL;
    }

    /** What is still to be changed, litres. */
    public function dueL(): float
    {
        return max(0.0, $this->weekL() - $this->doneL);
    }

    /** The same as a trickle day and night, L/h; null where the school asks for none. */
    public function trickleLH(): ?float
    {
        return $this->shareWeek > 0 ? $this->weekL() / 168 : null;
    }

    public function says(): Message
    {
        $litres = static fn(float $value): string => Format::about($value, 3);
        $values = [
            'school' => lcfirst($this->school),
            'week' => $litres($this->weekL()),
            'done' => $litres($this->doneL),
        ];

        return match (true) {
            $this->shareWeek <= 0 => Message::of('exchange.least_none', ['school' => $values['school']]),
            $this->dueL() <= 0 => Message::of('exchange.least_done', $values),
            default => Message::of('exchange.least_due', [
                ...$values,
                'litres' => $litres($this->dueL()),
                'pct' => Format::number((100 * $this->dueL()) / max(1e-9, $this->volumeL), 2),
            ]),
        };
    }
}
