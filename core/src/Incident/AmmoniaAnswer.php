<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\BinderCalculator;
use Ironwort\Core\Dose\ZeoliteCalculator;
use Ironwort\Core\Exchange\WhichDecides;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Ammonia, ordinary or severe: below 2 mg/L a change a day, binder for what is left after it; from there on, or where
 * the un-ionised part is an emergency, the water goes first, for binder and resin are swamped by what stands in it.
 *
 * @source cp-incident
 */
final readonly class AmmoniaAnswer
{
    /** From so much total ammonia on it is severe, mg/L as N. */
    private const SEVERE_MG_L = 2.0;

    private const SEVERE_PCT = 90.0;

    private const MOST_A_DAY_PCT = 50.0;

    /** Where binding comes first, changes are small. */
    private const BINDERS_PCT = 25.0;

    /** Salt from which zeolite lets go of what it holds, g/L. */
    private const ZEOLITE_SALT_G_L = 0.2;

    public static function severe(Situation $now): bool
    {
        return ($now->reading('tan_mg_l') ?? 0.0) >= self::SEVERE_MG_L ||
            $now->state('nh3_n_mg_l') === State::Emergency;
    }

    /** @return list<AnswerStep> */
    public static function steps(Situation $now, bool $stopped): array
    {
        $tan = $now->reading('tan_mg_l') ?? 0.0;
        $severe = self::severe($now);
        $wanted = $now->share('tan_mg_l', $now->tanLimit);
        $most = $severe ? 95.0 : ($now->follows['bindFirst'] ? self::BINDERS_PCT : self::MOST_A_DAY_PCT);
        $pct = $wanted === null ? null : ($severe ? max(self::SEVERE_PCT, min($most, $wanted)) : min($most, $wanted));
        $after = $pct === null ? $tan : $tan - ($pct / 100) * ($tan - ($now->source['tan_mg_l'] ?? 0.0));
        $change = self::change($now, $severe, $wanted, $pct, $after);
        $bind = self::bind($now, $after);

        return [
            ...$severe && $stopped
                ? [
                    AnswerStep::to(
                        Cause::Ammonia,
                        Message::of('incident.ammonia_dead_filter_first'),
                        Message::of('incident.ammonia_why_ammonia_comes'),
                    ),
                ]
                : [],
            ...$now->follows['bindFirst'] && !$severe ? [...$bind, ...$change] : [...$change, ...$bind],
            ...self::zeolite($now, $after),
            AnswerStep::to(
                Cause::Ammonia,
                self::feed($now, $severe),
                $now->tanGD > 0
                    ? Message::of('incident.ammonia_why_fed_made_weighed', ['tan' => Format::number($now->tanGD, 2)])
                    : Message::of('incident.ammonia_why_fed_made'),
            ),
            AnswerStep::to(
                Cause::Ammonia,
                $severe ? Message::of('incident.ammonia_new_start') : Message::of('incident.ammonia_live_media'),
                Message::of('incident.ammonia_why_once_rarely_enough_again'),
                'dose',
            ),
            AnswerStep::to(
                Cause::Ammonia,
                Message::of('incident.ammonia_tests'),
                Message::of('incident.ammonia_why_ph_rises_same_ammonia'),
                'test',
            ),
            AnswerStep::to(Cause::Ammonia, Message::of('incident.ammonia_find_cause')),
        ];
    }

    /** @return list<AnswerStep> */
    private static function change(Situation $now, bool $severe, ?float $wanted, ?float $pct, float $after): array
    {
        if ($wanted === null || $pct === null) {
            $worse = ($now->source['tan_mg_l'] ?? 0.0) >= $now->tanLimit;

            return $worse
                ? [
                    AnswerStep::to(
                        Cause::Ammonia,
                        Message::of('incident.ammonia_no_change_with_this_water', [
                            'tan_mg_l' => Format::number($now->source['tan_mg_l'] ?? 0.0, 2),
                        ]),
                        Message::of('incident.ammonia_why_bind_fetch_another'),
                    ),
                ]
                : [];
        }
        $litres = ($pct / 100) * $now->volumeL;
        $days =
            $severe || $after <= $now->tanLimit
                ? 1
                : (int) ceil(log($now->tanLimit / max(1e-9, $now->reading('tan_mg_l') ?? 1.0)) / log(1 - $pct / 100));

        return [
            AnswerStep::to(
                Cause::Ammonia,
                Message::of($days > 1 ? 'incident.ammonia_change_each_day' : 'incident.ammonia_change_once', [
                    'litres' => Format::about($litres),
                    'pct' => Format::number($pct, 2),
                    'days' => $days,
                ]),
                self::leaves($now, $severe, $after),
                'water',
                $severe ? Message::of('incident.ammonia_new_water_treated') : null,
            )->changing($pct),
        ];
    }

    /** What a change leaves, and which of two goals it goes by. */
    private static function leaves(Situation $now, bool $severe, float $after): Message
    {
        $left = Message::of($severe ? 'incident.ammonia_why_swamped' : 'incident.ammonia_why_leaves', [
            'after' => Format::number($after, 2),
        ]);
        $decides = WhichDecides::of($now->ammonia(), $now->state('no3_n_mg_l'))->says;
        $said = $decides === null ? $left : $left->followedBy($decides);

        return $now->treatment === null
            ? $said
            : Message::of('incident.ammonia_why_takes_treatment', ['treatment' => $now->treatment])->followedBy($said);
    }

    /** @return list<AnswerStep> */
    private static function bind(Situation $now, float $after): array
    {
        if (!$now->follows['bind'] || $after <= 0) {
            return [];
        }
        $step = AnswerStep::to(
            Cause::Ammonia,
            Message::of('incident.ammonia_binder'),
            Message::of('incident.ammonia_why_holds_ammonia_harmless_day'),
            'dose',
            $now->treatment === null
                ? null
                : Message::of('incident.ammonia_binder_with_treatment', ['treatment' => ucfirst($now->treatment)]),
        );

        return [
            $now->binder === null
                ? AnswerStep::to(
                    Cause::Ammonia,
                    Message::of('incident.ammonia_binder_by_label'),
                    Message::of('incident.ammonia_why_none_stands_shelf_list'),
                    'dose',
                )
                : $step->weighing(
                    CalculatedAmount::by(
                        new BinderCalculator(),
                        ['volume_l' => $now->volumeL, 'tan_mg_l' => $after, ...$now->binder],
                        'dose_ml',
                    ),
                    'mL',
                ),
        ];
    }

    /** @return list<AnswerStep> */
    private static function zeolite(Situation $now, float $after): array
    {
        $salt = $now->reading('salinity_g_l') ?? 0.0;
        if ($now->treatment !== null && !$now->zeoliteIn) {
            return [
                AnswerStep::to(
                    Cause::Ammonia,
                    Message::of('incident.ammonia_no_zeolite_with_treatment', ['treatment' => $now->treatment]),
                ),
            ];
        }
        if ($now->zeoliteIn) {
            return [AnswerStep::to(Cause::Ammonia, Message::of('incident.ammonia_zeolite_is_in'), page: 'dose')];
        }
        if ($salt >= self::ZEOLITE_SALT_G_L) {
            return [
                AnswerStep::to(
                    Cause::Ammonia,
                    Message::of('incident.ammonia_no_zeolite_with_salt', ['salt' => Format::number($salt, 2)]),
                ),
            ];
        }
        $worked = CalculatedAmount::by(
            new ZeoliteCalculator(),
            [
                'tan_mg_l' => $after,
                'volume_l' => $now->volumeL,
                'target_mg_l' => min($after, $now->tanLimit),
                'salinity_g_l' => $salt,
                'production_g_d' => $now->tanGD,
            ],
            'mass_g',
        );

        return $worked->value <= 0
            ? []
            : [
                AnswerStep::to(
                    Cause::Ammonia,
                    Message::of('incident.ammonia_zeolite'),
                    Message::of('incident.ammonia_why_takes_ammonia_good_fills'),
                    'dose',
                )->weighing($worked, 'g'),
            ];
    }

    private static function feed(Situation $now, bool $severe): Message
    {
        $days = $severe && $now->follows['feedDays'] < 7 ? 7.0 : $now->follows['feedDays'];
        $share = ['share' => Format::number(100 * $now->follows['feedShare'], 2)];

        return match (true) {
            $severe && $now->fragile => Message::of('incident.ammonia_feed_next_to_nothing'),
            $days > 0 => Message::of('incident.ammonia_no_feed', [
                'time' => $days >= 7 ? 'a week' : ($days <= 1 ? 'a day' : Format::number($days) . ' days'),
            ]),
            $now->feedGD > 0 => Message::of('incident.ammonia_feed_share_weighed', [
                ...$share,
                'feed' => Format::number($now->follows['feedShare'] * $now->feedGD, 2),
            ]),
            default => Message::of('incident.ammonia_feed_share', $share),
        };
    }
}
