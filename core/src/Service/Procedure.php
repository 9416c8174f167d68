<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * A job as steps in order, for a part where it stands: what to switch, shut, lift, rinse, drain, refill, and look at.
 *
 * Heater, lamp and dry pump go off before the water falls below them, and on only after flow was seen.
 *
 * Common practice, no source.
 */
final readonly class Procedure
{
    /** Less than this is not put back. */
    private const LEAST_L = 1.0;

    private function __construct(private Job $job, private Setting $at, private bool $stops, private Rinse $rinse) {}

    /**
     * @param  bool  $stops  whether the pump is stopped; else it is throttled, or runs on
     * @return list<Step> at least one
     */
    public static function of(Job $job, Setting $at, bool $stops, Rinse $rinse = Rinse::System): array
    {
        $one = new self($job, $at, $stops && $at->pumps !== [], $rinse);
        $steps = match ($job->steps) {
            'flush' => [...$one->where(), ...$one->drains()],
            'wash' => $one->wash(),
            'clear' => [...$one->stopping(), ...$one->say('service.step_clear_screen'), ...$one->starting()],
            'stir' => $one->stir(),
            'backwash' => $one->backwash(),
            'replace' => [...$one->stopping(), ...$one->say('service.step_replace'), ...$one->starting()],
            'sleeve' => $one->lamp('service.step_wipe_sleeve'),
            'lamp' => $one->lamp('service.step_change_lamp'),
            'pump' => $one->pump(),
            'device' => $one->device(),
            'vacuum' => [...$one->where(), ...$one->say('service.step_vacuum')],
            'look' => [$one->look()],
            'circuits' => $one->say('service.step_circuits'),
            default => [],
        };

        return $one->refilled($steps === [] ? $one->say('service.step_do') : $steps);
    }

    /**
     * Water that is taken out and put back by a float valve: shut before, where what comes is not treated in time.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function refilled(array $steps): array
    {
        $litres = self::takesL($this->job, $this->at, $this->stops);
        $refill = $this->at->refill;
        if ($refill === null || $litres === null || $litres < self::LEAST_L) {
            return $steps;
        }
        $names = ['vessel' => $refill->vessel];
        if (!$refill->safe()) {
            return [
                ...$this->say('service.step_shut_float', $names, caution: true),
                ...$steps,
                ...$this->say('service.step_open_float', $names),
            ];
        }
        $minutes = $refill->minutes($litres);

        return $minutes === null
            ? $steps
            : [
                ...$steps,
                ...$this->say('service.step_float_refills', [
                    ...$names,
                    'litres' => Format::about($litres, 2),
                    'minutes' => Format::number(max(1.0, round($minutes)), 2),
                ]),
            ];
    }

    /** @return list<Step> what goes off before the water of a whole system falls */
    public static function off(Job $job, Setting $at): array
    {
        return $at->pumps === [] ? [] : (new self($job, $at, true, Rinse::System))->stopping();
    }

    /** @return list<Step> what goes on again, and the look at what flows */
    public static function on(Job $job, Setting $at): array
    {
        return $at->pumps === [] ? [] : (new self($job, $at, true, Rinse::System))->starting();
    }

    /** @return list<Step> where what is drained may go */
    public static function whereWasteGoes(Job $job, Setting $at): array
    {
        return (new self($job, $at, true, Rinse::System))->where();
    }

    /** Whether a job is usually done with the pump off. */
    public static function usuallyStops(Job $job): bool
    {
        return in_array($job->steps, ['wash', 'pump', 'sleeve', 'lamp', 'replace', 'backwash'], true);
    }

    /**
     * Water a run takes from the system, L; null where nobody said what its waste carries or what stands in it.
     *
     * @see \Ironwort\Core\Flow\FlushCalculator for what a waste carries
     */
    public static function takesL(Job $job, Setting $at, bool $stops): ?float
    {
        return match (true) {
            $job->litresMin > 0 => $job->litresMin * $job->minutes,
            $job->flushS !== null => $at->wasteLS === null ? null : $job->flushS * $at->wasteLS,
            $job->steps === 'wash' && $stops && $at->waste !== null => $at->waterL,
            default => 0.0,
        };
    }

    /** @return list<Step> */
    private function wash(): array
    {
        $lifted =
            $this->at->layers === []
                ? $this->say('service.step_lift_out')
                : $this->say('service.step_lift_layers', ['layers' => implode(', ', $this->at->layers)]);

        return [
            ...$this->stopping(),
            ...$lifted,
            $this->rinsing(),
            ...$this->stops && $this->at->waste !== null ? [...$this->where(), ...$this->drains()] : [],
            ...$this->say('service.step_put_back'),
            ...$this->starting(),
        ];
    }

    private function rinsing(): Step
    {
        return new Step(
            Message::of(
                match ($this->rinse) {
                    Rinse::System => 'service.step_rinse_system',
                    Rinse::Hosed => 'service.step_rinse_hosed',
                    Rinse::Chlorinated => 'service.step_rinse_chlorinated',
                },
                [
                    'share' => Format::number(100 * $this->job->share(), 2),
                ],
            ),
            caution: $this->rinse === Rinse::Chlorinated,
        );
    }

    /** @return list<Step> air led to a bed while the fish go without it */
    private function stir(): array
    {
        return [
            ...$this->stopping(),
            ...$this->at->air === null
                ? $this->say('service.step_stir_by_hand')
                : [...$this->meanwhile(), ...$this->say('service.step_stir_by_air', ['outlet' => $this->at->air])],
            ...$this->where(),
            ...$this->drains(),
            ...$this->at->air === null
                ? []
                : $this->say($this->at->fishAir ? 'service.step_air_back' : 'service.step_air_off', [
                    'outlet' => $this->at->air,
                ]),
            ...$this->starting(),
        ];
    }

    /** @return list<Step> what the fish keep of oxygen while their air is away */
    private function meanwhile(): array
    {
        $less = $this->at->lessAir;
        if (!$this->at->fishAir) {
            return [];
        }

        return $less === null
            ? $this->say('service.step_less_air_unknown')
            : $this->say(
                $less->low() ? 'service.step_less_air_low' : 'service.step_less_air',
                [
                    'after' => Format::number($less->afterMgL, 2),
                    'settles' => Format::number($less->settlesMgL, 2),
                ],
                caution: $less->low(),
            );
    }

    /** @return list<Step> the pump drives it, so it is stopped only while the valve is turned */
    private function backwash(): array
    {
        return [
            ...$this->stopping(),
            ...$this->say('service.step_turn_to_backwash'),
            ...$this->where(),
            ...$this->say('service.step_backwash_runs', [
                'seconds' => Format::number((float) $this->job->flushS),
                'litres' => $this->litres(),
            ]),
            ...$this->say('service.step_turn_back'),
            ...$this->starting(),
        ];
    }

    /** @return list<Step> */
    private function lamp(string $code): array
    {
        $self =
            $this->at->selfId === null
                ? []
                : [
                    new Step(
                        Message::of('service.step_lamp_off', ['name' => $this->at->name]),
                        $this->at->selfId,
                        caution: true,
                    ),
                ];

        return [
            ...$self,
            ...$this->stopping(skip: $this->at->selfId),
            ...$this->say($code),
            ...$this->starting(skip: $this->at->selfId),
            ...$this->at->selfId === null
                ? []
                : [
                    new Step(
                        Message::of('service.step_lamp_on', ['name' => $this->at->name]),
                        $this->at->selfId,
                        true,
                        afterFlow: true,
                    ),
                ],
        ];
    }

    /** @return list<Step> */
    private function pump(): array
    {
        return [...$this->stopping(), ...$this->say('service.step_clean_pump'), ...$this->starting()];
    }

    /** @return list<Step> */
    private function device(): array
    {
        $self = $this->at->selfId;

        return $self === null
            ? $this->say('service.step_clean_device')
            : [
                new Step(Message::of('service.step_device_off', ['name' => $this->at->name]), $self),
                ...$this->say('service.step_clean_device'),
                new Step(Message::of('service.step_device_on', ['name' => $this->at->name]), $self, true),
            ];
    }

    /** @return list<Step> what goes off before the water stands or falls */
    private function stopping(?string $skip = null): array
    {
        if (!$this->stops) {
            return $this->at->pumps === [] ? [] : $this->say('service.step_throttle');
        }
        $steps = [];
        foreach ([...$this->at->heaters, ...$this->at->lamps] as $id => $name) {
            if ($id !== $skip) {
                $steps[] = new Step(Message::of('service.step_off_first', ['name' => $name]), (string) $id);
            }
        }
        if ($this->at->valves !== []) {
            array_push(
                $steps,
                ...$this->say('service.step_shut_valves', ['valves' => implode(', ', $this->at->valves)]),
            );
        }
        foreach ($this->at->pumps as $id => $name) {
            $steps[] = new Step(Message::of('service.step_pump_off', ['name' => $name]), (string) $id);
        }

        return $steps;
    }

    /** @return list<Step> back in order, and nothing that burns dry before flow was seen */
    private function starting(?string $skip = null): array
    {
        if (!$this->stops) {
            return $this->at->pumps === [] ? [] : [...$this->say('service.step_unthrottle'), $this->look()];
        }
        $steps = [];
        if ($this->at->valves !== []) {
            array_push(
                $steps,
                ...$this->say('service.step_open_valves', ['valves' => implode(', ', $this->at->valves)]),
            );
        }
        foreach ($this->at->dryPumps as $name) {
            array_push($steps, ...$this->say('service.step_prime', ['name' => $name]));
        }
        foreach ($this->at->pumps as $id => $name) {
            $steps[] = new Step(Message::of('service.step_pump_on', ['name' => $name]), (string) $id, true);
        }
        $steps[] = $this->look();
        foreach ([...$this->at->heaters, ...$this->at->lamps] as $id => $name) {
            if ($id !== $skip) {
                $steps[] = new Step(
                    Message::of('service.step_on_again', ['name' => $name]),
                    (string) $id,
                    true,
                    afterFlow: true,
                );
            }
        }

        return $steps;
    }

    private function look(): Step
    {
        return new Step(
            $this->at->returns === []
                ? Message::of('service.step_see_flow')
                : Message::of('service.step_look_at_returns', ['returns' => implode(', ', $this->at->returns)]),
            flow: true,
        );
    }

    /** @return list<Step> where the dirty water may go */
    private function where(): array
    {
        $what = implode(', ', $this->at->inWater);

        return $what === ''
            ? []
            : [
                new Step(
                    Message::of(
                        $this->at->drainsTo === 'garden'
                            ? 'service.step_not_on_garden'
                            : 'service.step_where_it_may_go',
                        ['what' => $what],
                    ),
                    caution: true,
                ),
            ];
    }

    /** @return list<Step> */
    private function drains(): array
    {
        if ($this->at->waste === null) {
            return $this->say('service.step_dirt_out');
        }
        if ($this->job->flushS === null) {
            return $this->say('service.step_drain', [
                'waste' => $this->at->waste,
                'litres' => $this->at->waterL === null ? 'all' : Format::about($this->at->waterL, 2) . ' L',
            ]);
        }

        return $this->say('service.step_flush', [
            'waste' => $this->at->waste,
            'seconds' => Format::number($this->job->flushS),
            'litres' => $this->litres(),
        ]);
    }

    private function litres(): string
    {
        $litres = self::takesL($this->job, $this->at, $this->stops);

        return $litres === null ? 'not known: its fall is not on Build' : 'about ' . Format::about($litres, 2) . ' L';
    }

    /**
     * @param  array<string, string>  $names
     * @return list<Step>
     */
    private function say(string $code, array $names = [], bool $caution = false): array
    {
        return [new Step(Message::of($code, ['name' => $this->at->name, ...$names]), caution: $caution)];
    }
}
