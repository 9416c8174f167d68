<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/** A filter that stood goes foul in hours, and what is in it must not come back. Common practice, no source. */
final readonly class StoppedFilterAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        return [
            AnswerStep::to(
                Cause::StoppedFilter,
                'Did it stand for more than two hours or so: drain what is in it to waste before the pump goes on.',
                'Without flow it uses up its oxygen within the hour, and then makes what poisons.',
                null,
                'Not onto the garden with salt or a treatment in it.',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                'Rinse the media in water of the system, never from the tap; throw away what stinks.',
                'What lives there still is worth more than what it is cleaned of.',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                'Pump on, and look: flow at every return, no leak, air in the water behind it.',
                'A pump that was put right and not switched on kills.',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                'Write down what it cost under Capacity.',
                'Up to six hours a part, a day without flow nearly all of it: the reckoning goes on from there.',
                'capacity',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                'Ammonia and nitrite every 12 h for two weeks; half the feed.',
                'Ammonia shows within a day, nitrite one to three weeks later.',
                'test',
            ),
        ];
    }
}
