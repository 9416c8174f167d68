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

    private const MOST_PCT = 95.0;

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
        $change = self::planned($now, $severe, $stopped);
        $useful = $change !== null && !$change->tooFar();
        // What is bound is what stands at the moment it goes in.
        $first = ($now->follows['bindFirst'] && !$severe) || ($useful && $change->burns);
        $after = $useful ? $change->after : $tan;
        $bind = self::bind($now, $first ? $tan : $after, $first);
        $steps = self::change($now, $severe, $change);

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
            ...$first ? [...$bind, ...$steps] : [...$steps, ...$bind],
            ...self::zeolite($now, $after),
            AnswerStep::to(
                Cause::Ammonia,
                self::seed($now, $severe),
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

    private static function seed(Situation $now, bool $severe): Message
    {
        return match (true) {
            $now->way('culture') === 'none' => Message::of(
                $severe ? 'incident.ammonia_new_start_media' : 'incident.ammonia_live_media_only',
            ),
            $severe => Message::of('incident.ammonia_new_start'),
            $now->way('culture') === 'trusted' => Message::of('incident.ammonia_culture'),
            default => Message::of('incident.ammonia_live_media'),
        };
    }

    private static function planned(Situation $now, bool $severe, bool $stopped): ?ChangeToday
    {
        $tan = $now->reading('tan_mg_l') ?? 0.0;
        $most = $severe ? self::MOST_PCT : ($now->follows['bindFirst'] ? self::BINDERS_PCT : $now->mostADayPct());
        // Where it is severe the water goes, whatever little would do.
        $goal = $severe ? min($now->tanLimit, (1 - self::SEVERE_PCT / 100) * $tan) : $now->tanLimit;
        $source = $now->source['tan_mg_l'] ?? 0.0;
        if ($source >= $now->tanLimit) {
            return null;
        }
        $takes = $now->filterTakesGD ?? ($severe || $stopped ? 0.0 : $now->tanGD);
        $made = (1000 * max(0.0, $now->tanGD - $takes)) / max(1.0, $now->volumeL);

        return ChangeToday::of($now, 'tan_mg_l', max($goal, 1.01 * $source), $most, $made);
    }

    /** @return list<AnswerStep> */
    private static function change(Situation $now, bool $severe, ?ChangeToday $change): array
    {
        if ($change === null) {
            $tan = $now->source['tan_mg_l'] ?? 0.0;

            return $tan >= $now->tanLimit
                ? [
                    AnswerStep::to(
                        Cause::Ammonia,
                        Message::of('incident.ammonia_no_change_with_this_water', [
                            'tan_mg_l' => Format::number($tan, 2),
                        ]),
                        Message::of('incident.ammonia_why_bind_fetch_another'),
                    ),
                ]
                : [];
        }
        if ($change->tooFar()) {
            return [
                AnswerStep::to(
                    Cause::Ammonia,
                    Message::of($change->apartC < 0 ? 'incident.change_too_cold' : 'incident.change_too_warm', [
                        'by' => Format::number(abs($change->apartC), 2),
                        'pct' => Format::number($change->pct(), 2),
                    ]),
                    Message::of('incident.change_why_temper'),
                    'water',
                ),
            ];
        }
        $code = match (true) {
            $change->days === 0 => 'incident.ammonia_change_while_it_lasts',
            $change->days > 1 => 'incident.ammonia_change_each_day',
            default => 'incident.ammonia_change_once',
        };

        return [
            AnswerStep::to(
                Cause::Ammonia,
                Message::of($code, [
                    'litres' => Format::about($change->share * $now->volumeL, 3),
                    'pct' => Format::number($change->pct(), 2),
                    'days' => $change->days,
                ]),
                self::leaves($now, $severe, $change->after),
                'water',
                $severe ? Message::of('incident.ammonia_new_water_treated') : null,
            )->changing($change->pct()),
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

    /**
     * @param  float  $tan  as it stands when the binder goes in, mg/L as N
     * @param  bool  $first  before a change rather than after it
     * @return list<AnswerStep>
     */
    private static function bind(Situation $now, float $tan, bool $first): array
    {
        if (!$now->follows['bind'] || $tan <= 0) {
            return [];
        }
        if (isset($now->refuses['binder'])) {
            return [AnswerStep::to(Cause::Ammonia, Message::of('incident.ammonia_no_binder'), $now->refuses['binder'])];
        }
        if ($now->binder === null) {
            return [
                AnswerStep::to(
                    Cause::Ammonia,
                    self::unlessPeroxide($now) ??
                        Message::of(
                            $first ? 'incident.ammonia_binder_by_label_first' : 'incident.ammonia_binder_by_label',
                        ),
                    Message::of('incident.ammonia_why_none_stands_shelf_list'),
                    'dose',
                ),
            ];
        }
        $dose = CalculatedAmount::by(
            new BinderCalculator(),
            ['volume_l' => $now->volumeL, 'tan_mg_l' => $tan, ...$now->binder],
            'dose_ml',
        );

        return [
            AnswerStep::to(
                Cause::Ammonia,
                self::unlessPeroxide($now) ??
                    Message::of($first ? 'incident.ammonia_binder_first' : 'incident.ammonia_binder'),
                Message::of('incident.ammonia_why_holds_ammonia_harmless_day'),
                'dose',
                $now->treatment === null
                    ? null
                    : Message::of('incident.ammonia_binder_with_treatment', ['treatment' => ucfirst($now->treatment)]),
            )->weighing($dose, 'mL'),
        ];
    }

    /** Binder uses up peroxide and peroxide spoils binder: where the last resort is spoken of, one or the other. */
    private static function unlessPeroxide(Situation $now): ?Message
    {
        return OxygenAnswer::lastResort($now) ? Message::of('incident.ammonia_binder_unless_peroxide') : null;
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
        if ($now->saltToCome) {
            return [AnswerStep::to(Cause::Ammonia, Message::of('incident.ammonia_no_zeolite_salt_follows'))];
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
}
