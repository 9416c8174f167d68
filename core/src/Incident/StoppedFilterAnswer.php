<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Words\Message;

/** A filter that stood goes foul in hours, and what is in it must not come back. Common practice, no source. */
final readonly class StoppedFilterAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        return [
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_drain'),
                'Without flow it uses up its oxygen within the hour, and then makes what poisons.',
                null,
                Message::of('incident.stopped_filter_not_onto_garden'),
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_rinse'),
                'What lives there still is worth more than what it is cleaned of.',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_pump_on'),
                'A pump that was put right and not switched on kills.',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_write_down'),
                'Up to six hours a part, a day without flow nearly all of it: the reckoning goes on from there.',
                'capacity',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_tests'),
                'Ammonia shows within a day, nitrite one to three weeks later.',
                'test',
            ),
        ];
    }
}
