<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\DechlorinateCalculator;
use Ironwort\Core\Words\Message;

/**
 * After a fill, fish that push up into the returns: it looks like too little oxygen and is chlorine. Common practice,
 * no source.
 */
final readonly class ChlorineAnswer
{
    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        // What the tap holds is the most that can be in the whole water; a reading of the water itself is better.
        $chlorine = $now->reading('chlorine_mg_l') ?? ($now->source['chlorine_mg_l'] ?? null);
        $take = AnswerStep::to(
            Cause::Chlorine,
            Message::of('incident.chlorine_conditioner'),
            $now->reading('chlorine_mg_l') === null
                ? Message::of('incident.chlorine_why_reckoned_held_tap_does')
                : Message::of('incident.chlorine_why_chlorine_read'),
            'water',
        );
        $input = [
            'volume_l' => $now->volumeL,
            'chlorine_mg_l' => $chlorine ?? 0.0,
            'kind' => $now->chloramine ? 'chloramine' : 'free',
        ];

        return [
            AnswerStep::to(
                Cause::Chlorine,
                Message::of('incident.chlorine_shut_water_off'),
                Message::of('incident.chlorine_why_chlorine_burns_gills_kills'),
            ),
            match (true) {
                isset($now->refuses['thiosulfate']) => AnswerStep::to(
                    Cause::Chlorine,
                    Message::of('incident.chlorine_change_instead'),
                    $now->refuses['thiosulfate'],
                    'water',
                ),
                $chlorine === null || $chlorine <= 0 => AnswerStep::to(
                    Cause::Chlorine,
                    Message::of('incident.chlorine_conditioner_by_label'),
                    Message::of('incident.chlorine_why_nobody_tested_tap_chlorine'),
                    'water',
                ),
                $now->conditioner !== null => $take->weighing(
                    CalculatedAmount::by(
                        new DechlorinateCalculator(),
                        [...$input, ...$now->conditioner],
                        'conditioner_ml',
                    ),
                    'mL',
                ),
                default => $take->weighing(
                    CalculatedAmount::by(new DechlorinateCalculator(), $input, 'thiosulfate_g'),
                    'g',
                ),
            },
            AnswerStep::to(
                Cause::Chlorine,
                Message::of('incident.chlorine_tests'),
                Message::of('incident.chlorine_why_kit_shows_none_twice'),
                'test',
            ),
            AnswerStep::to(
                Cause::Chlorine,
                $now->chloramine
                    ? Message::of('incident.chlorine_ammonia_after_chloramine')
                    : Message::of('incident.chlorine_ammonia_after'),
                page: 'test',
            ),
        ];
    }
}
