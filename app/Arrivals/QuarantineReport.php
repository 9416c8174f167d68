<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Arrival\LifeCycle;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Words\Message;

/** The quarantine of a system as its page tells it. */
final readonly class QuarantineReport
{
    /** @param  array<string, LifeCycle>  $cycles */
    public function __construct(
        private QuarantineOf $quarantine,
        private QuarantineHold $hold,
        private VisitList $visits,
        private array $cycles,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $protocol = QuarantineOf::protocol($system);
        $since = QuarantineOf::since($system);
        $day = $since === null ? null : QuarantineOf::day($system, $since);
        $length = $this->quarantine->length($system, $water, $protocol, (float) $day);
        // Where nobody knows when they came, all of it is ahead.
        $gate = $this->quarantine->gate($system, $water, $length->number('days_left'));

        return [
            'protocol_days' => $protocol->days,
            'set' => $protocol->exists,
            'looks_every_d' => $protocol->looks_every_d,
            'tests_a_day' => $protocol->tests_a_day,
            'hold_c' => $protocol->hold_c,
            'c_a_day' => $protocol->c_a_day,
            'air_c' => $protocol->air_c,
            'treating' => $protocol->treating,
            'own_nets' => $protocol->own_nets,
            'footbath' => $protocol->footbath,
            'says' => array_map(static fn(Message $one): array => $one->toArray(), [
                ...$this->hold->says($system, $water, $protocol),
                Message::of(
                    match ($protocol->treating) {
                        'salt' => 'arrival.treat_salt',
                        'flukes' => 'arrival.treat_flukes',
                        default => 'arrival.treat_none',
                    },
                ),
                Message::of($protocol->own_nets ? 'arrival.tools_own' : 'arrival.tools_missing'),
                Message::of($protocol->footbath ? 'arrival.footbath' : 'arrival.footbath_missing'),
                $this->visits->says($system->site),
            ]),
            'life_cycle' => $protocol->life_cycle,
            'life_cycles' => array_values(
                array_map(static fn(LifeCycle $one): array => ['id' => $one->id, 'name' => $one->name], $this->cycles),
            ),
            'since' => $since?->toDateString(),
            'day' => $day,
            'days' => $length->number('days'),
            'days_left' => $length->number('days_left'),
            'limiting' => $length->figures['limiting'],
            'cautions' => array_map(static fn(Caution $one): array => $one->toArray(), $length->cautions),
            'open' => $system->fish->isNotEmpty() && $gate->open(),
            'shut' => $gate->shut?->toArray(),
            'conditions' => array_map(
                static fn(string $id, ?Message $missing): array => [
                    'id' => $id,
                    'met' => $missing === null,
                    'missing' => $missing?->toArray(),
                ],
                array_keys($gate->conditions),
                array_values($gate->conditions),
            ),
        ];
    }
}
