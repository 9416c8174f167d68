<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\DechlorinateCalculator;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Words\Message;

/** Oxygen comes before everything else, and comes by air and broken water. Common practice, no source. */
final readonly class OxygenAnswer
{
    /** Hose water that thiosulfate is named for, L. */
    private const HOSED_L = 1000.0;

    /** Below this nothing is left to wait for, mg/L. */
    private const LAST_RESORT_MG_L = 3.0;

    /** Whether peroxide is spoken of: oxygen so low that nothing is left to wait for, and nothing it must not meet. */
    public static function lastResort(Situation $now): bool
    {
        $oxygen = $now->reading('do_mg_l');

        return $oxygen !== null && $oxygen < self::LAST_RESORT_MG_L && !isset($now->refuses['hydrogen_peroxide']);
    }

    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $oxygen = $now->reading('do_mg_l');
        $tested = $now->source['chlorine_mg_l'] ?? null;
        // Nobody tested it: begin all the same, and reckon with what mains usually hold.
        $guessed = $tested === null && !$now->noChlorine;
        $chlorine = $guessed ? AssumedWater::MAINS_CHLORINE_MG_L : $tested ?? 0.0;
        $hose = AnswerStep::to(
            Cause::Oxygen,
            Message::of('incident.oxygen_spray'),
            $chlorine > 0 && !$guessed
                ? Message::of('incident.oxygen_why_water_chlorine_straight_hose')
                : Message::of('incident.oxygen_why_water_falls_brings_oxygen'),
            'water',
            $guessed
                ? Message::of('incident.oxygen_hose_untested', ['chlorine' => Format::number($chlorine, 2)])
                : null,
        );

        return [
            ...$now->way('oxygen_source') === 'pump'
                ? [
                    AnswerStep::to(
                        Cause::Oxygen,
                        Message::of('incident.oxygen_pump_back'),
                        Message::of('incident.oxygen_why_pump_back'),
                    ),
                ]
                : [],
            AnswerStep::to(
                Cause::Oxygen,
                Message::of('incident.oxygen_air'),
                $oxygen === null
                    ? Message::of('incident.oxygen_why_oxygen_comes_before_everything')
                    : Message::of('incident.oxygen_why_oxygen_stands_mg_comes', [
                        'oxygen' => Format::number($oxygen, 2),
                    ]),
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
                            ...$now->conditioner ?? [],
                        ],
                        $now->conditioner === null ? 'thiosulfate_g' : 'conditioner_ml',
                    ),
                    $now->conditioner === null ? 'g' : 'mL',
                )
                : $hose,
            ...self::lastResort($now)
                ? [
                    AnswerStep::to(
                        Cause::Oxygen,
                        Message::of('incident.oxygen_peroxide'),
                        Message::of('incident.oxygen_why_last_resort_burns_gills'),
                        'dose',
                        Message::of('incident.oxygen_peroxide_burns'),
                    ),
                ]
                : [],
            AnswerStep::to(
                Cause::Oxygen,
                Message::of('incident.oxygen_tests'),
                Message::of('incident.oxygen_why_plants_algae_give_day'),
                'test',
            ),
            AnswerStep::to(Cause::Oxygen, Message::of('incident.oxygen_find_cause')),
        ];
    }
}
