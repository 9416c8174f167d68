<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Words\Message;

/**
 * The next deed that a reading past its limits asks for, in one sentence; amounts stand on Trouble.
 *
 * Common practice, no source: the first step of what `incident.answer` says at length.
 */
final readonly class NextDeed
{
    /**
     * @param  bool  $fish  whether any live in it: without, what is asked is for the filter that is being started
     * @return ?Message null where the reading is good
     */
    public static function of(Parameter $parameter, Verdict $verdict, bool $fish): ?Message
    {
        if ($verdict->state === State::Good || $verdict->side === null) {
            return null;
        }
        $acts = $verdict->state === State::Watch ? 'watch' : 'act';
        $codes = [
            "judge.deed_{$parameter->value}_{$verdict->side}_{$acts}" . ($fish ? '' : '_no_fish'),
            "judge.deed_{$parameter->value}_{$verdict->side}_{$acts}",
            "judge.deed_{$acts}",
        ];
        foreach ($codes as $code) {
            if (Message::known($code)) {
                return Message::of($code);
            }
        }

        throw new \LogicException("Nothing is said of {$parameter->value}.");
    }
}
