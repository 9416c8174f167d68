<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\Shock;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** Heat, water too different, sickness and green water: what is done without weighing. Common practice, no source. */
final readonly class OtherAnswers
{
    /** @return list<AnswerStep> */
    public static function heat(Situation $now): array
    {
        return [
            AnswerStep::to(
                Cause::Heat,
                Message::of('incident.heat_shade'),
                Message::of('incident.other_why_warm_water_holds_little'),
            ),
            AnswerStep::to(
                Cause::Heat,
                Message::of('incident.heat_cooler_water', [
                    'temp_c' => Format::number(Shock::A_DAY['temp_c']),
                ]),
                page: 'water',
            ),
            AnswerStep::to(Cause::Heat, Message::of('incident.heat_feed_early')),
            AnswerStep::to(
                Cause::Heat,
                Message::of('incident.heat_oxygen_at_dawn'),
                Message::of('incident.other_why_lowest_then'),
                'test',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function shock(Situation $now): array
    {
        $nitrate = $now->reading('no3_n_mg_l');

        return [
            AnswerStep::to(
                Cause::Shock,
                Message::of('incident.shock_compare'),
                Message::of('incident.other_why_new_fish_very_different'),
                'test',
            ),
            AnswerStep::to(
                Cause::Shock,
                Message::of('incident.shock_between'),
                $nitrate === null
                    ? null
                    : Message::of('incident.shock_why_nitrate_stands', [
                        'nitrate' => Format::number(Parameter::Nitrate->shown($nitrate), 2),
                    ]),
                'water',
            ),
            AnswerStep::to(
                Cause::Shock,
                Message::of('incident.shock_rest'),
                Message::of('incident.other_why_new_fish_jump'),
            ),
        ];
    }

    /**
     * @param  ?float  $gaspAt  oxygen they gasp at all the same, mg/L
     * @return list<AnswerStep>
     */
    public static function sickness(Situation $now, bool $waterIsGood, ?float $gaspAt = null): array
    {
        return [
            ...$gaspAt === null
                ? []
                : [
                    AnswerStep::to(
                        Cause::Sickness,
                        Message::of('incident.sickness_oxygen_reads_well', ['gasp_at' => Format::number($gaspAt, 2)]),
                        Message::of('incident.other_why_air_same_test_oxygen'),
                        'test',
                    ),
                ],
            AnswerStep::to(
                Cause::Sickness,
                $waterIsGood
                    ? Message::of('incident.sickness_look_at_fish')
                    : Message::of('incident.sickness_water_first'),
                Message::of('incident.other_why_treated_wrong_thing_hurt'),
            ),
            AnswerStep::to(
                Cause::Sickness,
                Message::of('incident.sickness_look_closer'),
                Message::of('incident.other_why_spring_weeks_after_incident'),
            ),
            $waterIsGood && $now->way('parasites') === 'tolerate'
                ? AnswerStep::to(
                    Cause::Sickness,
                    Message::of('incident.sickness_tolerate'),
                    Message::of('incident.other_why_koi_count_fish_may'),
                )
                : AnswerStep::to(
                    Cause::Sickness,
                    Message::of('incident.sickness_treat'),
                    Message::of('incident.other_why_koi_count_fish_may'),
                    'dose',
                ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function bloom(Situation $now): array
    {
        $nitrate = $now->reading('no3_n_mg_l');

        return [
            AnswerStep::to(
                Cause::Bloom,
                Message::of('incident.bloom_nothing'),
                Message::of('incident.other_why_oxygen_dawn_same_algae'),
                'test',
            ),
            AnswerStep::to(
                Cause::Bloom,
                Message::of('incident.bloom_nitrate_and_light'),
                $nitrate === null
                    ? Message::of('incident.bloom_why_nitrate')
                    : Message::of('incident.bloom_why_nitrate_stands', [
                        'nitrate' => Format::number(Parameter::Nitrate->shown($nitrate), 2),
                    ]),
                'water',
            ),
            ...$now->way('clear_water') === 'wanted'
                ? [AnswerStep::to(Cause::Bloom, Message::of('incident.bloom_clear'))]
                : [],
        ];
    }
}
