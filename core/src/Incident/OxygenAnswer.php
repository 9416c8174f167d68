<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\DechlorinateCalculator;
use Ironwort\Core\Measure\Format;

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
            'Spray from the hose over the whole surface.',
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
                'All the air there is, now: every air pump and stone, battery air, and the pump back on if it stands.',
                $oxygen === null
                    ? 'Oxygen comes before everything else.'
                    : 'Oxygen stands at ' . Format::number($oxygen, 2) . ' mg/L; it comes before everything else.',
                null,
                'Hands dry and the plug side dead before anything electrical is moved by water.',
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
                'No feed until it is above ' . Format::number(max(6.0, $now->doLimit), 2) . ' mg/L.',
                'Fish that digest breathe twice as much.',
            ),
            ...$oxygen !== null && $oxygen < self::LAST_RESORT_MG_L
                ? [
                    AnswerStep::to(
                        Cause::Oxygen,
                        'If air and hose are not at hand: peroxide, by the strength of your ' .
                            'bottle, from the Dose bench.',
                        'The last resort: it burns gills above its cap, and helps for an hour.',
                        'dose',
                        'Burns skin and eyes: gloves and eye protection.',
                    ),
                ]
                : [],
            AnswerStep::to(
                Cause::Oxygen,
                'Test oxygen again in half an hour, and at dawn tomorrow.',
                'Plants and algae give by day and take by night.',
                'test',
            ),
            AnswerStep::to(
                Cause::Oxygen,
                'Then find what took it: a stopped or blocked pump, heat, algae at dawn, silt, a ' .
                    'treatment, too many fish.',
            ),
        ];
    }
}
