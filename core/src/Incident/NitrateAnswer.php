<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Exchange\Shock;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Nitrate: down in measured steps, since a sudden fall shocks as a sudden rise does.
 *
 * @source cp-incident  @source cp-shock
 */
final readonly class NitrateAnswer
{
    private const MOST_PCT = 50.0;

    /** @return list<AnswerStep> */
    public static function steps(Situation $now): array
    {
        $nitrate = $now->reading('no3_n_mg_l') ?? 0.0;
        $source = $now->source['no3_n_mg_l'] ?? null;
        $said = static fn(float $value): string => Format::number(Parameter::Nitrate->shown($value), 2) . ' mg/L';
        if ($source !== null && $source >= $now->no3Limit) {
            return [
                AnswerStep::to(
                    Cause::Nitrate,
                    Message::of('incident.nitrate_water_holds_it', [
                        'source' => $said($source),
                        'no3_limit' => $said($now->no3Limit),
                    ]),
                    Message::of('incident.nitrate_why_blend_holds_less_plant'),
                    'water',
                ),
                ...self::feed($now),
            ];
        }
        if ($now->changedPct > 0) {
            return [
                AnswerStep::to(
                    Cause::Nitrate,
                    Message::of('incident.nitrate_changed_above', ['nitrate' => $said($nitrate)]),
                    $nitrate > $now->no3Limit
                        ? Message::of('incident.nitrate_why_tomorrow_steps_own_day', [
                            'no3_n_mg_l' => $said(Shock::A_DAY['no3_n_mg_l']),
                        ])
                        : Message::of('incident.nitrate_why_then_see_less_made'),
                    'water',
                ),
                ...self::feed($now),
            ];
        }
        $fall = max(1e-9, $nitrate - ($source ?? 0.0));
        $pct = min(self::MOST_PCT, (100 * Shock::A_DAY['no3_n_mg_l']) / $fall);
        $days =
            $nitrate <= $now->no3Limit
                ? 0
                : (int) max(1, ceil(log(max(1e-9, $now->no3Limit - ($source ?? 0.0)) / $fall) / log(1 - $pct / 100)));

        return [
            ...$source === null
                ? [
                    AnswerStep::to(
                        Cause::Nitrate,
                        Message::of('incident.nitrate_test_tap'),
                        Message::of('incident.nitrate_why_changes_cannot_go_below'),
                        'test',
                    ),
                ]
                : [],
            ...$days === 0
                ? []
                : [
                    AnswerStep::to(
                        Cause::Nitrate,
                        Message::of(
                            $days === 1 ? 'incident.nitrate_change_one_day' : 'incident.nitrate_change_each_day',
                            [
                                'litres' => Format::about(($pct / 100) * $now->volumeL),
                                'pct' => Format::number($pct, 2),
                                'days' => $days,
                            ],
                        ),
                        Message::of('incident.nitrate_why_fall_day_shocks', [
                            'no3_n_mg_l' => $said(Shock::A_DAY['no3_n_mg_l']),
                        ]),
                        'water',
                    ),
                ],
            ...self::feed($now),
            AnswerStep::to(
                Cause::Nitrate,
                Message::of('incident.nitrate_find_cause'),
                Message::of('incident.nitrate_why_poisons_over_weeks_two'),
                'water',
            ),
        ];
    }

    /** @return list<AnswerStep> */
    private static function feed(Situation $now): array
    {
        return $now->feedTold ? [] : [AnswerStep::to(Cause::Nitrate, Message::of('incident.nitrate_no_feed'))];
    }
}
