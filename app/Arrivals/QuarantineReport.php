<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Models\System;
use App\Readings\LatestWater;
use Ironwort\Core\Arrival\LifeCycle;
use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Exchange\Move;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Words\Message;

/** The quarantine of a system as its page tells it. */
final readonly class QuarantineReport
{
    /** @param  array<string, LifeCycle>  $cycles */
    public function __construct(
        private QuarantineOf $quarantine,
        private QuarantineHold $hold,
        private VisitList $visits,
        private HospitalNeeds $hospital,
        private array $cycles,
    ) {}

    /** @return array<string, mixed> */
    public function of(System $system, LatestWater $water): array
    {
        $protocol = QuarantineOf::protocol($system);
        $hospital = $system->kind === 'hospital';
        $since = QuarantineOf::since($system);
        $day = $since === null ? null : QuarantineOf::day($system, $since);
        $length = $this->quarantine->length($system, $water, $protocol, (float) $day);
        // Where nobody knows when they came, all of it is ahead.
        $gate = $this->quarantine->gate($system, $water, $hospital ? 0.0 : $length->number('days_left'));
        $conditions = $hospital
            ? [...array_diff_key($gate->conditions, ['days' => 0]), 'matched' => $this->apart($system, $water)]
            : $gate->conditions;

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
                ...$hospital ? $this->hospital->says($system, $water) : [],
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
            'open' => $system->fish->isNotEmpty() && $gate->shut === null && array_filter($conditions) === [],
            'shut' => $gate->shut?->toArray(),
            'conditions' => array_map(
                static fn(string $id, ?Message $missing): array => [
                    'id' => $id,
                    'met' => $missing === null,
                    'missing' => $missing?->toArray(),
                ],
                array_keys($conditions),
                array_values($conditions),
            ),
        ];
    }

    /** The water it goes back to is too far from this one; null where it is not, or nobody knows where it came from. */
    private function apart(System $system, LatestWater $water): ?Message
    {
        $from = HospitalNeeds::from($system);
        $apart = $from === null ? [] : WaterApart::between($water, LatestWater::of($from));

        return $from === null || $apart === []
            ? null
            : Message::of('arrival.back_apart', [
                'name' => $from->name,
                'what' => implode(
                    ', ',
                    array_map(static fn(Move $one): string => Parameter::from($one->key)->inSentence(), $apart),
                ),
                'days' => (string) $apart[0]->days,
            ]);
    }
}
