<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\Danger;
use Ironwort\Core\Words\Message;

/** Too much of something in the water, or two things that never meet. Common practice, no source. */
final readonly class OverdoseAnswer
{
    /** Of the water, changed at once where nobody reads figures: on the card on the wall. */
    public const OUT_SHARE = 0.5;

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
                AnswerStep::to($cause, Message::of('incident.overdose_zeolite_out'), self::said($meetings), 'course'),
                AnswerStep::to(
                    $cause,
                    Message::of('incident.overdose_ammonia_tests'),
                    Message::of('incident.overdose_why_let_go_water_already'),
                    'test',
                ),
            ];
    }

    /** @param  array<int, Danger>  $dangers */
    private static function said(array $dangers): ?Message
    {
        $said = null;
        foreach ($dangers as $danger) {
            $said = $said === null ? $danger->message : $said->followedBy($danger->message);
        }

        return $said;
    }

    /**
     * @param  array<int, Danger>  $dangers
     * @return list<AnswerStep>
     */
    private static function treatment(array $dangers): array
    {
        $cause = Cause::Overdose;

        return [
            AnswerStep::to($cause, Message::of('incident.overdose_air'), self::said($dangers)),
            AnswerStep::to(
                $cause,
                Message::of('incident.overdose_change'),
                Message::of('incident.overdose_why_change_takes_whatever_nothing'),
                'water',
                Message::of('incident.overdose_new_water'),
            )->changing(50.0),
            AnswerStep::to(
                $cause,
                Message::of('incident.overdose_neutralise'),
                Message::of('incident.overdose_why_carbon_holds_dyes_most'),
                'dose',
                Message::of('incident.overdose_gloves'),
            ),
            AnswerStep::to($cause, Message::of('incident.overdose_no_second')),
            AnswerStep::to(
                $cause,
                Message::of('incident.overdose_tests'),
                Message::of('incident.overdose_why_filter_may_hurt'),
                'test',
            ),
        ];
    }
}
