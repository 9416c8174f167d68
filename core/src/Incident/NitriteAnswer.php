<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\ChlorideGuardCalculator;
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

    private const MOST_PCT = 50.0;

    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $nitrite = $now->reading('no2_n_mg_l') ?? 0.0;
        // One change a day: what is changed for ammonia takes its share of nitrite with it.
        $wanted = $now->changedPct > 0 ? null : $now->share('no2_n_mg_l', $now->no2Limit);
        $pct = $wanted === null ? null : max(self::LEAST_PCT, min(self::MOST_PCT, $wanted));
        $after = $pct === null ? $nitrite : $nitrite - ($pct / 100) * ($nitrite - ($now->source['no2_n_mg_l'] ?? 0.0));
        $salt = ($now->reading('salinity_g_l') ?? 0.0) * (1 - ($pct ?? 0.0) / 100);
        $guard = CalculatedAmount::by(
            new ChlorideGuardCalculator(),
            ['volume_l' => $now->volumeL, 'no2_n_mg_l' => $after, 'chloride_mg_l' => 1000 * Salt::CHLORIDE * $salt],
            'salt_g',
        );

        return [
            ...$now->changedPct > 0
                ? [
                    AnswerStep::to(
                        Cause::Nitrite,
                        Message::of('incident.nitrite_changed_above', [
                            'nitrite' => Format::number($nitrite, 2),
                        ]),
                        $nitrite > $now->no2Limit
                            ? Message::of('incident.nitrite_why_another_tomorrow_large_todays')
                            : null,
                    ),
                ]
                : [],
            ...$pct === null
                ? []
                : [
                    AnswerStep::to(
                        Cause::Nitrite,
                        Message::of('incident.nitrite_change', [
                            'pct' => Format::about(($pct / 100) * $now->volumeL),
                            'pct2' => Format::number($pct, 2),
                        ]),
                        Message::of('incident.nitrite_why_leaves', ['after' => Format::number($after, 2)]),
                        'water',
                    )->changing($pct),
                ],
            ...match (true) {
                !$now->follows['salt'] => [],
                $now->zeoliteIn => [
                    AnswerStep::to(
                        Cause::Nitrite,
                        Message::of('incident.nitrite_no_salt_with_zeolite'),
                        Message::of('incident.nitrite_why_salt_makes_let_go'),
                        'dose',
                    ),
                ],
                $guard->value > 0 => [
                    AnswerStep::to(
                        Cause::Nitrite,
                        Message::of('incident.nitrite_salt'),
                        Message::of('incident.nitrite_why_chloride_keeps_nitrite_gills'),
                        'dose',
                    )->weighing($guard, 'g'),
                ],
                default => [
                    AnswerStep::to(
                        Cause::Nitrite,
                        Message::of('incident.nitrite_salt_enough'),
                        Message::of('incident.nitrite_why_chloride_keeps_nitrite_gills_2'),
                    ),
                ],
            },
            AnswerStep::to(
                Cause::Nitrite,
                Message::of('incident.nitrite_air'),
                Message::of('incident.nitrite_why_brown_blood_carries_less'),
            ),
            AnswerStep::to(
                Cause::Nitrite,
                Message::of($now->feedTold ? 'incident.nitrite_live_media' : 'incident.nitrite_half_feed_live_media'),
                Message::of('incident.nitrite_why_takes_nitrite_grows_slowly'),
            ),
            AnswerStep::to(Cause::Nitrite, Message::of('incident.nitrite_tests'), page: 'test'),
        ];
    }
}
