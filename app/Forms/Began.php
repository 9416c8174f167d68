<?php

declare(strict_types=1);

namespace App\Forms;

use Ironwort\Core\Calc\BadInput;

/**
 * Since when something is there, asked with no default: new today, since a day, or nobody knows.
 *
 * A form that asks sends the answer beside the day; whoever sends the day alone has said it.
 */
final class Began
{
    public const ANSWERS = ['today', 'since', 'unknown'];

    /**
     * @param  array<array-key, mixed>  $typed
     * @param  string  $today  the day at the place
     *
     * @throws BadInput at the question, or at the day
     */
    public static function day(array $typed, string $question, string $day, string $today): ?string
    {
        if (!array_key_exists($question, $typed)) {
            return Day::read($typed, $day);
        }
        $answer = $typed[$question];

        return match ($answer) {
            'today' => $today,
            'unknown' => null,
            'since' => Day::read($typed, $day) ?? throw BadInput::at($day, 'Say since which day.'),
            default => throw BadInput::at(
                $question,
                'Choose when it started: new today, since a date, or not known. Filter capacity depends on it.',
            ),
        };
    }
}
