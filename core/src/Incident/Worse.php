<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Whether a reading got worse since an incident was opened, and what follows. Common practice, no source: worse is a
 * graver word, or a bad reading that moved on by more than a fifth, which is past what a drop kit can blur.
 */
final readonly class Worse
{
    private const FIFTH = 0.2;

    /** What falls away from good rather than rising. */
    private const FALLING = [Parameter::Oxygen, Parameter::OxygenSaturation, Parameter::Alkalinity];

    public static function is(Parameter $of, float $then, float $now, State $was, State $is): bool
    {
        if ($is->worseThan($was)) {
            return $is->worseThan(State::Watch);
        }
        $further = in_array($of, self::FALLING, true) ? $then - $now : $now - $then;
        $other = $of === Parameter::Ph || $of === Parameter::Temperature;

        return !$other && !$was->worseThan($is) && $is->worseThan(State::Watch) && $further > self::FIFTH * abs($then);
    }

    public static function says(Parameter $of, float $then, float $now): Message
    {
        $figure = static fn(float $value): string => Format::number($of->shown($value), 3);

        return Message::of('incident.worse', [
            'name' => $of->name(),
            'was' => $figure($then),
            'is' => trim("{$figure($now)} {$of->symbol()}"),
        ]);
    }

    /**
     * What is done beside the plan when it gets worse.
     *
     * @return list<Message>
     */
    public static function deeds(): array
    {
        return [
            Message::of('incident.worse_again'),
            Message::of('incident.worse_out'),
            Message::of('incident.worse_call'),
        ];
    }
}
