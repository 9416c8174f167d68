<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Filter\Stop;
use Ironwort\Core\Flow\PumpOff;
use Ironwort\Core\Measure\Span;
use Ironwort\Core\Words\Message;

/** A filter that stood goes foul in hours, and what is in it must not come back. Common practice, no source. */
final readonly class StoppedFilterAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        // Nobody described it: as a packed one, which stands for the shortest.
        $may =
            $now->filterMayStandMin ??
            (Stop::mayStandMin([['packed' => true, 'carries' => 1.0]]) ?? PumpOff::LOOK_AGAIN_MIN);
        $span = ['may' => Span::text($may)];

        return [
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_drain', $span),
                Message::of('incident.stopped_filter_why_without_flow_uses_oxygen', $span),
                null,
                Message::of('incident.stopped_filter_not_onto_garden'),
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_rinse'),
                Message::of('incident.stopped_filter_why_lives_still_worth_cleaned'),
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_pump_on'),
                Message::of('incident.stopped_filter_why_pump_put_right_switched'),
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_write_down'),
                Message::of('incident.stopped_filter_why_six_hours_part_day'),
                'capacity',
            ),
            AnswerStep::to(
                Cause::StoppedFilter,
                Message::of('incident.stopped_filter_tests'),
                Message::of('incident.stopped_filter_why_ammonia_shows_within_day'),
                'test',
            ),
        ];
    }
}
