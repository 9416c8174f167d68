<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Words\Message;

/** What is seen and not read: a dead fish, a filter that blocks, dirt, cloudy water. Common practice, no source. */
final readonly class SeenAnswers
{
    /** @return list<AnswerStep> */
    public static function death(): array
    {
        return [
            AnswerStep::to(Cause::Death, Message::of('incident.death_out'), Message::of('incident.death_why_out')),
            AnswerStep::to(
                Cause::Death,
                Message::of('incident.death_tests'),
                Message::of('incident.death_why_tests'),
                'test',
            ),
            AnswerStep::to(
                Cause::Death,
                Message::of('incident.death_look'),
                Message::of('incident.death_why_look'),
                caution: Message::of('incident.death_vet'),
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function blocked(): array
    {
        return [
            AnswerStep::to(
                Cause::Blocked,
                Message::of('incident.blocked_free'),
                Message::of('incident.blocked_why_free'),
                caution: Message::of('incident.cold_mains'),
            ),
            AnswerStep::to(
                Cause::Blocked,
                Message::of('incident.blocked_gently'),
                Message::of('incident.blocked_why_gently'),
                'capacity',
            ),
            AnswerStep::to(
                Cause::Blocked,
                Message::of('incident.blocked_cause'),
                Message::of('incident.blocked_why_cause'),
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function dirt(Situation $now): array
    {
        return [
            match ($now->way('intake')) {
                'high_sponge' => AnswerStep::to(
                    Cause::Dirt,
                    Message::of('incident.dirt_sponge'),
                    Message::of('incident.dirt_why_sponge'),
                ),
                'floor_pump' => AnswerStep::to(
                    Cause::Dirt,
                    Message::of('incident.dirt_pump'),
                    Message::of('incident.dirt_why_flush'),
                    caution: Message::of('incident.cold_mains'),
                ),
                'skimmer' => AnswerStep::to(
                    Cause::Dirt,
                    Message::of('incident.dirt_skimmer'),
                    Message::of('incident.dirt_why_sponge'),
                ),
                default => AnswerStep::to(
                    Cause::Dirt,
                    Message::of('incident.dirt_flush'),
                    Message::of('incident.dirt_why_flush'),
                ),
            },
            AnswerStep::to(
                Cause::Dirt,
                Message::of('incident.dirt_tests'),
                Message::of('incident.dirt_why_tests'),
                'test',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function cloudy(): array
    {
        return [
            AnswerStep::to(Cause::Cloudy, Message::of('incident.cloudy_wait'), Message::of('incident.cloudy_why_wait')),
            AnswerStep::to(
                Cause::Cloudy,
                Message::of('incident.cloudy_air'),
                Message::of('incident.cloudy_why_air'),
                'test',
            ),
        ];
    }
}
