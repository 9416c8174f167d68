<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Draining and cleaning, a first fill and a move as steps in order, with the amounts of this system.
 *
 * Fish go into water of their own first and come back last; the filter is kept wet; nothing burns dry; new water is
 * treated as it comes. Common practice, no source.
 */
final readonly class BigProcedure
{
    private function __construct(private Job $job, private Setting $at, private BigWork $work) {}

    /** @return list<Step> at least one */
    public static function of(Job $job, Setting $at, BigWork $work): array
    {
        $one = new self($job, $at, $work);

        return match ($job->steps) {
            'drain' => $one->drain(),
            'move' => $one->move(),
            'fill' => $one->fill(),
            default => throw new \LogicException("{$job->id} is no job of a whole system."),
        };
    }

    /** @return list<Step> */
    private function drain(): array
    {
        return [
            ...$this->say('service.big_mains', caution: true),
            ...$this->hold(),
            ...Procedure::off($this->job, $this->at),
            ...$this->filterKept('service.big_filter_kept'),
            ...$this->keep(),
            ...Procedure::whereWasteGoes($this->job, $this->at),
            ...$this->say('service.big_drain', ['litres' => Format::about($this->work->refillL(), 2)]),
            ...$this->say($this->work->siltL === null ? 'service.big_silt' : 'service.big_silt_litres', [
                'litres' => Format::about((float) $this->work->siltL, 2),
            ]),
            ...$this->work->plants ? $this->say('service.big_plants') : [],
            ...$this->refill(),
            ...Procedure::on($this->job, $this->at),
            ...$this->back(),
            ...$this->say('service.big_after'),
        ];
    }

    /** @return list<Step> */
    private function move(): array
    {
        return [
            ...$this->say('service.big_move_before', ['tonnes' => Format::number($this->work->volumeL / 1000, 2)]),
            ...$this->say('service.big_mains', caution: true),
            ...$this->keep(),
            ...$this->hold(),
            ...Procedure::off($this->job, $this->at),
            ...$this->filterKept('service.big_media_packed'),
            ...Procedure::whereWasteGoes($this->job, $this->at),
            ...$this->say('service.big_drain', ['litres' => Format::about($this->work->refillL(), 2)]),
            ...$this->say('service.big_lift', caution: true),
            ...$this->say('service.big_set_up'),
            ...$this->refill(),
            ...Procedure::on($this->job, $this->at),
            ...$this->back(),
            ...$this->say('service.big_move_after'),
        ];
    }

    /** @return list<Step> */
    private function fill(): array
    {
        return [
            ...array_map(static fn(string $text): Step => new Step(self::told($text)), $this->work->fills),
            ...Procedure::on($this->job, $this->at),
        ];
    }

    /** @return list<Step> */
    private function hold(): array
    {
        if ($this->work->fishKg <= 0) {
            return [];
        }
        $names = [
            'kg' => Format::number($this->work->fishKg, 2),
            'hours' => Format::number($this->work->hours, 2),
            'tub' => $this->work->tubL === null ? '' : Format::about($this->work->tubL, 3),
            'least' => Format::number((float) $this->work->leastTold(), 6),
            'stays' => Format::number(floor(10 * (float) $this->work->staysH) / 10, 2),
            'minutes' => Format::number(floor((float) $this->work->airlessMin), 2),
        ];

        return [
            ...$this->say(
                match (true) {
                    !$this->work->holds() => 'service.big_tub_small',
                    $this->work->tubL === null && $this->work->leastTubL !== null => 'service.big_tub_least',
                    $this->work->staysH === null => 'service.big_tub',
                    default => 'service.big_tub_stays',
                },
                $names,
                caution: !$this->work->holds(),
            ),
            ...$this->work->airlessMin === null ? [] : $this->say('service.big_tub_air', $names, caution: true),
        ];
    }

    /** @return list<Step> */
    private function filterKept(string $code): array
    {
        return $this->say($code, [
            'hours' => Format::number($this->work->hours, 2),
            'lost' => Format::number($this->work->standing['lost'], 2),
            'low' => Format::number($this->work->standing['low'], 2),
            'high' => Format::number($this->work->standing['high'], 2),
        ]);
    }

    /** @return list<Step> */
    private function keep(): array
    {
        return $this->work->keptL < 1
            ? []
            : $this->say('service.big_keep', ['litres' => Format::about($this->work->keptL, 2)]);
    }

    /** @return list<Step> */
    private function refill(): array
    {
        return [
            ...$this->work->keptL < 1 ? [] : $this->say('service.big_kept_back'),
            ...array_map(static fn(string $text): Step => new Step(self::told($text)), $this->work->fills),
            ...$this->say('service.big_chlorine_looked', caution: true),
        ];
    }

    /** @return list<Step> */
    private function back(): array
    {
        return $this->work->fishKg > 0 ? $this->say('service.big_fish_back') : [];
    }

    private static function told(string $text): Message
    {
        return Message::of('service.big_fill', ['text' => $text]);
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
