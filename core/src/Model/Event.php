<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;

/**
 * Something that happens to a system on a day: a change of water, ammonia dosed, a seed, a wash or a stop that kills
 * part, another feed, weight of fish, temperature or trickle from then on.
 */
final readonly class Event
{
    private const KINDS = ['change', 'dose', 'seed', 'wash', 'stop', 'feed', 'temperature', 'flow', 'fish'];

    /**
     * @param  float  $day  since the start
     * @param  float  $share  0 to 1, of a change, a wash or a stop
     * @param  float  $mgL  of ammonia dosed, as N
     * @param  ?float  $value  what holds from then on, or how much a seed brings, mg N/L/d
     */
    private function __construct(
        public float $day,
        public string $kind,
        public float $share,
        public float $mgL,
        public ?float $value,
    ) {}

    /** Another temperature from a day on, °C. */
    public static function temperature(float $day, float $tempC): self
    {
        return new self($day, 'temperature', 0.0, 0.0, $tempC);
    }

    /** Bacteria brought in, mg N/L/d at 20 °C of each kind. */
    public static function seed(float $day, float $active): self
    {
        return new self($day, 'seed', 0.0, 0.0, $active);
    }

    public static function input(): Input
    {
        return Input::rows(
            'events',
            'Events',
            [
                Input::number('at_d', 'On day', 'd', 0, 730),
                Input::choice('kind', 'What', self::KINDS),
                Input::number('pct', 'Share', '%', 0, 100)->optional(),
                Input::number('mg_l', 'Ammonia', 'mg/L as N', 0, 100)->optional(),
                Input::number('value', 'From then on', null, 0, 1e7)->optional(),
            ],
            0,
            500,
        )->optional();
    }

    /**
     * @return list<self> in order of time
     *
     * @throws BadInput where an event lacks what it needs
     */
    public static function read(Given $given): array
    {
        $events = [];
        foreach ($given->rows('events') as $i => $row) {
            $kind = $row->text('kind');
            $needs = match ($kind) {
                'change', 'wash', 'stop' => 'pct',
                'dose' => 'mg_l',
                'seed' => null,
                default => 'value',
            };
            if ($needs !== null && $row->numberOrNull($needs) === null) {
                throw BadInput::at("events.{$i}.{$needs}", "A {$kind} needs this.");
            }
            $events[] = new self(
                $row->number('at_d'),
                $kind,
                ($row->numberOrNull('pct') ?? 0.0) / 100,
                $row->numberOrNull('mg_l') ?? 0.0,
                $row->numberOrNull('value'),
            );
        }
        usort($events, static fn(self $a, self $b): int => $a->day <=> $b->day);

        return $events;
    }

    public function bringsWater(): bool
    {
        return $this->kind === 'change' || $this->kind === 'flow';
    }
}
