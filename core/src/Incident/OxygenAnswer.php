<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\DechlorinateCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** Oxygen comes before everything else, and comes by air and broken water. Common practice, no source. */
final readonly class OxygenAnswer
{
    /** Hose water that thiosulfate is named for, L. */
    private const HOSED_L = 1000.0;

    /** Below this nothing is left to wait for, mg/L. */
    private const LAST_RESORT_MG_L = 3.0;

    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $oxygen = $now->reading('do_mg_l');
        $chlorine = $now->source['chlorine_mg_l'] ?? 0.0;
        $hose = AnswerStep::to(
            Cause::Oxygen,
            Message::of('incident.oxygen_spray'),
            $chlorine > 0
                ? 'This water has chlorine: straight from the hose is still better than dead ' .
                    'fish. Thiosulfate or conditioner goes in with it, for so much to each 1,000 ' .
                    'L; stop when they breathe easier.'
                : 'Water that falls brings oxygen in, and drives carbon dioxide off.',
            'water',
        );

        return [
            AnswerStep::to(
                Cause::Oxygen,
                Message::of('incident.oxygen_air'),
                $oxygen === null
                    ? 'Oxygen comes before everything else.'
                    : 'Oxygen stands at ' . Format::number($oxygen, 2) . ' mg/L; it comes before everything else.',
                null,
                Message::of('incident.oxygen_dry_hands'),
            ),
            $chlorine > 0
                ? $hose->weighing(
                    CalculatedAmount::by(
                        new DechlorinateCalculator(),
                        [
                            'volume_l' => self::HOSED_L,
                            'chlorine_mg_l' => $chlorine,
                            'kind' => $now->chloramine ? 'chloramine' : 'free',
                        ],
                        'thiosulfate_g',
                    ),
                    'g',
                )
                : $hose,
            AnswerStep::to(
                Cause::Oxygen,
                Message::of('incident.oxygen_no_feed', [
                    'value' => Format::number(max(6.0, $now->doLimit), 2),
                ]),
                'Fish that digest breathe twice as much.',
            ),
            ...$oxygen !== null && $oxygen < self::LAST_RESORT_MG_L
                ? [
                    AnswerStep::to(
                        Cause::Oxygen,
                        Message::of('incident.oxygen_peroxide'),
                        'The last resort: it burns gills above its cap, and helps for an hour.',
                        'dose',
                        Message::of('incident.oxygen_peroxide_burns'),
                    ),
                ]
                : [],
            AnswerStep::to(
                Cause::Oxygen,
                Message::of('incident.oxygen_tests'),
                'Plants and algae give by day and take by night.',
                'test',
            ),
            AnswerStep::to(Cause::Oxygen, Message::of('incident.oxygen_find_cause')),
        ];
    }
}
