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
            ];
        }
        $change = ChangeToday::of(
            $now,
            'no3_n_mg_l',
            $now->no3Limit,
            self::MOST_PCT,
            (1000 * $now->tanGD) / max(1.0, $now->volumeL),
        );

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
            ...self::changed($now, $change, $said),
            AnswerStep::to(
                Cause::Nitrate,
                Message::of('incident.nitrate_find_cause'),
                Message::of('incident.nitrate_why_poisons_over_weeks_two'),
                'water',
            ),
        ];
    }

    /**
     * @param  \Closure(float): string  $said
     * @return list<AnswerStep>
     */
    private static function changed(Situation $now, ?ChangeToday $change, \Closure $said): array
    {
        if ($change === null) {
            return [];
        }
        if ($change->tooFar()) {
            return [
                AnswerStep::to(
                    Cause::Nitrate,
                    Message::of($change->apartC < 0 ? 'incident.change_too_cold' : 'incident.change_too_warm', [
                        'by' => Format::number(abs($change->apartC), 2),
                        'pct' => Format::number($change->pct(), 2),
                    ]),
                    Message::of('incident.change_why_temper'),
                    'water',
                ),
            ];
        }
        $code = match ($change->days) {
            0 => 'incident.nitrate_change_while_it_lasts',
            1 => 'incident.nitrate_change_one_day',
            default => 'incident.nitrate_change_each_day',
        };

        return [
            AnswerStep::to(
                Cause::Nitrate,
                Message::of($code, [
                    'litres' => Format::about($change->share * $now->volumeL, 3),
                    'pct' => Format::number($change->pct(), 2),
                    'days' => $change->days,
                ]),
                Message::of('incident.nitrate_why_fall_day_shocks', [
                    'no3_n_mg_l' => $said(Shock::A_DAY['no3_n_mg_l']),
                ]),
                'water',
                $change->burns ? Message::of('incident.change_bind_first') : null,
            )->changing($change->pct()),
        ];
    }
}
