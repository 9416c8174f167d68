<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\Shock;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;

/** Heat, water too different, sickness and green water: what is done without weighing. Common practice, no source. */
final readonly class OtherAnswers
{
    /** @return list<AnswerStep> */
    public static function heat(Situation $now): array
    {
        return [
            AnswerStep::to(
                Cause::Heat,
                'Shade, and all the air there is, above all at night.',
                'Warm water holds little oxygen, and fish want more.',
            ),
            AnswerStep::to(
                Cause::Heat,
                'Cooler water in a trickle, no more than ' .
                    Format::number(Shock::A_DAY['temp_c']) .
                    ' °C down in a day.',
                '',
                'water',
            ),
            AnswerStep::to(Cause::Heat, 'Feed early and little; no treatment that takes oxygen.', ''),
            AnswerStep::to(Cause::Heat, 'Oxygen at dawn.', 'It is lowest then.', 'test'),
        ];
    }

    /** @return list<AnswerStep> */
    public static function shock(Situation $now): array
    {
        $nitrate = $now->reading('no3_n_mg_l');

        return [
            AnswerStep::to(
                Cause::Shock,
                'Compare the water they came from: temperature, pH, nitrate, hardness, salt.',
                'New fish in very different water can die within a day while residents look well.',
                'test',
            ),
            AnswerStep::to(
                Cause::Shock,
                'Those still alive into water between the two, with air, and from there in ' .
                    'steps: 2 °C and 0.3 pH a day at most.',
                $nitrate === null
                    ? ''
                    : 'Nitrate stands at ' . Format::number(Parameter::Nitrate->shown($nitrate), 2) . ' mg/L here.',
                'water',
            ),
            AnswerStep::to(Cause::Shock, 'No feed for a day, dark, nets on.', 'New fish jump.'),
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
                        'Oxygen reads ' .
                            Format::number($gaspAt, 2) .
                            ' mg/L: if that is how it is now, it is not that. Chlorine, nitrite ' .
                            'and sick gills look the same.',
                        'Air on all the same, and test oxygen again.',
                        'test',
                    ),
                ],
            AnswerStep::to(
                Cause::Sickness,
                $waterIsGood
                    ? 'The water reads well: look at the fish. A scrape under the glass tells flukes from the rest.'
                    : 'Put the water right first: half of what looks sick is that.',
                'Treated for the wrong thing they are hurt twice.',
            ),
            AnswerStep::to(
                Cause::Sickness,
                'Look closer at all of them: ulcers, gills, fins, who stands apart. Write it down.',
                'Spring and the weeks after an incident are the worst.',
            ),
            AnswerStep::to(
                Cause::Sickness,
                'What is known: the Dose bench, by what it is against. What is not: a veterinarian.',
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
                'Nothing, if the readings are good: green water is a taste, not a fault. A lamp ' .
                    'for a week, and compare clarity at the same spot.',
                'Oxygen at dawn all the same: algae take it by night.',
                'test',
            ),
        ];
    }
}
