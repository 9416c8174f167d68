<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\Danger;

/** Too much of something in the water, or two things that never meet. Common practice, no source. */
final readonly class OverdoseAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $cause = Cause::Overdose;
        $treated = array_filter($now->overdosed, static fn(Danger $danger): bool => !$danger->zeolite);

        return [...self::zeolite($now), ...$treated === [] ? [] : self::treatment($treated)];
    }

    /**
     * Zeolite that lets go of its ammonia: taken out, there is no more of it to come.
     *
     * @return list<AnswerStep>
     */
    private static function zeolite(Situation $now): array
    {
        $cause = Cause::Overdose;
        $meetings = array_filter($now->overdosed, static fn(Danger $danger): bool => $danger->zeolite);

        return $meetings === []
            ? []
            : [
                AnswerStep::to($cause, 'Zeolite and resin out of the loop, now.', self::said($meetings), 'course'),
                AnswerStep::to(
                    $cause,
                    'Ammonia now and again in two hours; change water by what it says.',
                    'What it has let go of is in the water already.',
                    'test',
                ),
            ];
    }

    /** @param  array<int, Danger>  $dangers */
    private static function said(array $dangers): string
    {
        return implode(' ', array_map(static fn(Danger $danger): string => $danger->message->text, $dangers));
    }

    /**
     * @param  array<int, Danger>  $dangers
     * @return list<AnswerStep>
     */
    private static function treatment(array $dangers): array
    {
        $cause = Cause::Overdose;

        return [
            AnswerStep::to(
                $cause,
                'All the air there is, now. Fish that lie over go into clean water of the same temperature.',
                self::said($dangers),
            ),
            AnswerStep::to(
                $cause,
                'Change half the water, and half again in an hour while they breathe hard.',
                'A change takes out whatever it is, and nothing else does so at once.',
                'water',
                'Within 2 °C of the old, and free of chlorine.',
            )->changing(50.0),
            AnswerStep::to(
                $cause,
                'Permanganate, chloramine-T and peroxide are stopped with sodium thiosulfate, by its label; ' .
                    'for the rest fresh carbon in the flow.',
                'Carbon holds dyes and most medicines.',
                'dose',
                'Gloves and eye protection with every strong chemical.',
            ),
            AnswerStep::to($cause, 'No second treatment and no feed until they breathe calmly.', ''),
            AnswerStep::to($cause, 'Oxygen now and in two hours; ammonia tonight.', 'The filter may be hurt.', 'test'),
        ];
    }
}
