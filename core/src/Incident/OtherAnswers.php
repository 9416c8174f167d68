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
                'Warm water holds little oxygen, and fish want more.',
            ),
            AnswerStep::to(
                Cause::Heat,
                Message::of('incident.heat_cooler_water', [
                    'temp_c' => Format::number(Shock::A_DAY['temp_c']),
                ]),
                '',
                'water',
            ),
            AnswerStep::to(Cause::Heat, Message::of('incident.heat_feed_early'), ''),
            AnswerStep::to(Cause::Heat, Message::of('incident.heat_oxygen_at_dawn'), 'It is lowest then.', 'test'),
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
                'New fish in very different water can die within a day while residents look well.',
                'test',
            ),
            AnswerStep::to(
                Cause::Shock,
                Message::of('incident.shock_between'),
                $nitrate === null
                    ? ''
                    : 'Nitrate stands at ' . Format::number(Parameter::Nitrate->shown($nitrate), 2) . ' mg/L here.',
                'water',
            ),
            AnswerStep::to(Cause::Shock, Message::of('incident.shock_rest'), 'New fish jump.'),
        ];
    }

    /**
     * @param  ?float  $gaspAt  oxygen they gasp at all the same, mg/L
     * @return list<AnswerStep>
     */
    public static function sickness(bool $waterIsGood, ?float $gaspAt = null): array
    {
        return [
            ...$gaspAt === null
                ? []
                : [
                    AnswerStep::to(
                        Cause::Sickness,
                        Message::of('incident.sickness_oxygen_reads_well', ['gasp_at' => Format::number($gaspAt, 2)]),
                        'Air on all the same, and test oxygen again.',
                        'test',
                    ),
                ],
            AnswerStep::to(
                Cause::Sickness,
                $waterIsGood
                    ? Message::of('incident.sickness_look_at_fish')
                    : Message::of('incident.sickness_water_first'),
                'Treated for the wrong thing they are hurt twice.',
            ),
            AnswerStep::to(
                Cause::Sickness,
                Message::of('incident.sickness_look_closer'),
                'Spring and the weeks after an incident are the worst.',
            ),
            AnswerStep::to(
                Cause::Sickness,
                Message::of('incident.sickness_treat'),
                'Koi count as fish that may be eaten.',
                'dose',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    public static function bloom(): array
    {
        return [
            AnswerStep::to(
                Cause::Bloom,
                Message::of('incident.bloom_nothing'),
                'Oxygen at dawn all the same: algae take it by night.',
                'test',
            ),
        ];
    }
}
