<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\ChlorideGuardCalculator;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\Salt;
use Ironwort\Core\Words\Message;

/**
 * Nitrite: a change of 30 to 50 %, chloride against what is left, less feed, live media.
 *
 * @source cp-incident
 */
final readonly class NitriteAnswer
{
    private const LEAST_PCT = 30.0;

    /** More nitrite than this is not guarded against by salt that koi can stand, mg/L as N. */
    private const MOST_GUARDED_MG_L = 200.0;

    /** Whether salt against it is part of the plan. */
    public static function salts(Situation $now): bool
    {
        return $now->follows['salt'] && !$now->zeoliteIn && self::guard($now)->value > 0;
    }

    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $nitrite = $now->reading('no2_n_mg_l') ?? 0.0;
        $urgent = $now->state('no2_n_mg_l') === State::Emergency;
        $change = self::changed($now, $nitrite);
        $air = AnswerStep::to(
            Cause::Nitrite,
            Message::of('incident.nitrite_air'),
            Message::of('incident.nitrite_why_brown_blood_carries_less'),
        );

        return [
            // A large change takes time, and fish that suffocate have none: air and salt go before it.
            ...$urgent
                ? [$air, ...self::salt($now), ...$change]
                : [...$change, ...self::salt(self::left($now, $change))],
            ...$urgent ? [] : [$air],
            AnswerStep::to(
                Cause::Nitrite,
                Message::of('incident.nitrite_live_media'),
                Message::of('incident.nitrite_why_takes_nitrite_grows_slowly'),
            ),
            AnswerStep::to(Cause::Nitrite, Message::of('incident.nitrite_tests'), page: 'test'),
        ];
    }

    /** @param  list<AnswerStep>  $change */
    private static function left(Situation $now, array $change): Situation
    {
        return $now->after(max([0.0, ...array_map(static fn(AnswerStep $step): float => $step->changesPct, $change)]));
    }

    /** @return list<AnswerStep> */
    private static function changed(Situation $now, float $nitrite): array
    {
        if ($now->changeFollows) {
            return [AnswerStep::to(Cause::Nitrite, Message::of('incident.nitrite_change_follows'))];
        }
        // One change a day: what is changed for ammonia takes its share of nitrite with it.
        if ($now->changedPct > 0) {
            return [
                AnswerStep::to(
                    Cause::Nitrite,
                    Message::of('incident.nitrite_changed_above', ['nitrite' => Format::number($nitrite, 2)]),
                    $nitrite > $now->no2Limit
                        ? Message::of('incident.nitrite_why_another_tomorrow_large_todays')
                        : null,
                ),
            ];
        }
        $goal = min($now->no2Limit, (1 - self::LEAST_PCT / 100) * $nitrite);
        $change = ChangeToday::of($now, 'no2_n_mg_l', $goal, $now->mostADayPct());
        if ($change === null) {
            return [];
        }
        if ($change->tooFar()) {
            return [
                AnswerStep::to(
                    Cause::Nitrite,
                    Message::of($change->apartC < 0 ? 'incident.change_too_cold' : 'incident.change_too_warm', [
                        'by' => Format::number(abs($change->apartC), 2),
                        'pct' => Format::number($change->pct(), 2),
                    ]),
                    Message::of('incident.change_why_temper'),
                    'water',
                ),
            ];
        }

        return [
            ...$change->burns
                ? [AnswerStep::to(Cause::Nitrite, Message::of('incident.change_bind_first'), page: 'dose')]
                : [],
            AnswerStep::to(
                Cause::Nitrite,
                Message::of('incident.nitrite_change', [
                    'litres' => Format::about($change->share * $now->volumeL, 3),
                    'pct' => Format::number($change->pct(), 2),
                ]),
                Message::of('incident.nitrite_why_leaves', ['after' => Format::number($change->after, 2)]),
                'water',
            )->changing($change->pct()),
        ];
    }

    /** @return list<AnswerStep> */
    private static function salt(Situation $now): array
    {
        if (!$now->follows['salt']) {
            return [];
        }
        if ($now->zeoliteIn) {
            return [
                AnswerStep::to(
                    Cause::Nitrite,
                    Message::of('incident.nitrite_no_salt_with_zeolite'),
                    Message::of('incident.nitrite_why_salt_makes_let_go'),
                    'dose',
                ),
            ];
        }
        $guard = self::guard($now);

        return [
            $guard->value > 0
                ? AnswerStep::to(
                    Cause::Nitrite,
                    Message::of('incident.nitrite_salt'),
                    Message::of('incident.nitrite_why_chloride_keeps_nitrite_gills'),
                    'dose',
                    Message::of('incident.nitrite_salt_plants'),
                )->weighing($guard, 'g')
                : AnswerStep::to(
                    Cause::Nitrite,
                    Message::of('incident.nitrite_salt_enough'),
                    Message::of('incident.nitrite_why_chloride_keeps_nitrite_gills_2'),
                ),
        ];
    }

    /** Salt against the nitrite that stands, by the chloride of the salt that was measured. */
    private static function guard(Situation $now): CalculatedAmount
    {
        return CalculatedAmount::by(
            new ChlorideGuardCalculator(),
            [
                'volume_l' => $now->volumeL,
                'no2_n_mg_l' => min(self::MOST_GUARDED_MG_L, $now->reading('no2_n_mg_l') ?? 0.0),
                'chloride_mg_l' => 1000 * Salt::CHLORIDE * ($now->reading('salinity_g_l') ?? 0.0),
            ],
            'salt_g',
        );
    }
}
