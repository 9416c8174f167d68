<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/** Too much of something in the water, or two things that never meet. Common practice, no source. */
final readonly class OverdoseAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $cause = Cause::Overdose;

        return [
            AnswerStep::to(
                $cause,
                'All the air there is, now. Fish that lie over go into clean water of the same temperature.',
                implode(' ', $now->overdosed),
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
