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
    public function __construct(private QuarantineOf $quarantine, private array $cycles) {}

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
