<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Dose\BinderCalculator;
use Ironwort\Core\Dose\ZeoliteCalculator;
use Ironwort\Core\Exchange\WhichDecides;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;

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
                        'The dead filter first: drain it to waste and clean it out.',
                        'It is where the ammonia comes from.',
                    ),
                ]
                : [],
            ...$now->follows['bindFirst'] && !$severe ? [...$bind, ...$change] : [...$change, ...$bind],
            ...self::zeolite($now, $after),
            AnswerStep::to(
                Cause::Ammonia,
                self::feed($now, $severe),
                'What is not fed is not made. ' .
                    ($now->tanGD > 0
                        ? 'They give ' . Format::number($now->tanGD, 2) . ' g of ammonia a day as fed.'
                        : ''),
            ),
            AnswerStep::to(
                Cause::Ammonia,
                $severe
                    ? 'Seed it: mature media or its squeezings, culture three times this week; ' .
                        'from here on it is a new start.'
                    : 'Live media from a healthy system, or culture two or three times a week.',
                'Once is rarely enough, and again after each large change.',
                'dose',
            ),
            AnswerStep::to(
                Cause::Ammonia,
                'Ammonia, nitrite and pH every 12 h.',
                'As pH rises, the same ammonia burns more. Nitrite comes one to three weeks after.',
                'test',
            ),
            AnswerStep::to(
                Cause::Ammonia,
                'Find the cause: fish too early or too many at once, a filter washed too well or ' .
                    'stopped, an insert thrown away, too much feed.',
            ),
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
                        'No change with this water: it holds ' .
                            Format::number($now->source['tan_mg_l'] ?? 0.0, 2) .
                            ' mg/L of ammonia itself.',
                        'Bind, or fetch another.',
                    ),
                ]
                : [];
        }
        $litres = ($pct / 100) * $now->volumeL;
        $decides = WhichDecides::of($now->ammonia(), $now->state('no3_n_mg_l'))->says;
        $days =
            $severe || $after <= $now->tanLimit
                ? 1
                : (int) ceil(log($now->tanLimit / max(1e-9, $now->reading('tan_mg_l') ?? 1.0)) / log(1 - $pct / 100));

        return [
            AnswerStep::to(
                Cause::Ammonia,
                'Change ' .
                    Format::about($litres) .
                    ' L, ' .
                    Format::number($pct, 2) .
                    ' % of the water' .
                    ($days > 1 ? ', each day for ' . $days . ' days' : '') .
                    '.',
                trim(
                    ($now->treatment === null
                        ? ''
                        : "It takes as much of the {$now->treatment} with it: the Course page says what " .
                            'to put back. ') .
                        ($severe ? 'Binder and resin are swamped until it is changed. ' : '') .
                        'It leaves ' .
                        Format::number($after, 2) .
                        ' mg/L. ' .
                        ($decides ?? ''),
                ),
                'water',
                $severe ? 'Treated, and within 2 °C: water this new shocks as well as it saves.' : null,
            )->changing($pct),
        ];
    }

    /** @return list<AnswerStep> */
    private static function bind(Situation $now, float $after): array
    {
        if (!$now->follows['bind'] || $after <= 0) {
            return [];
        }
        $step = AnswerStep::to(
            Cause::Ammonia,
            'Binder for what is left after the change, and again each day while it lasts.',
            'It holds ammonia harmless for a day or two and removes none; kits that use strong lye go on showing it.',
            'dose',
            $now->treatment === null
                ? null
                : ucfirst($now->treatment) .
                    ' is in the water: read both labels, some binders keep a medicine from working.',
        );

        return [
            $now->binder === null
                ? AnswerStep::to(
                    Cause::Ammonia,
                    'Binder by the label of your bottle, after the change.',
                    'None stands on the shelf list.',
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
                    "No zeolite while {$now->treatment} is in the water: it would take that too.",
                ),
            ];
        }
        if ($now->zeoliteIn) {
            return [
                AnswerStep::to(
                    Cause::Ammonia,
                    'Look at the zeolite that is in: full, it does nothing. And no salt while it hangs there.',
                    '',
                    'dose',
                ),
            ];
        }
        if ($salt >= self::ZEOLITE_SALT_G_L) {
            return [
                AnswerStep::to(
                    Cause::Ammonia,
                    'No zeolite: ' . Format::number($salt, 2) . ' g/L of salt would make it let go.',
                    '',
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
                    'Zeolite or ammonia resin in the flow, for what is left above the limit.',
                    'It takes ammonia out for good, and fills.',
                    'dose',
                )->weighing($worked, 'g'),
            ];
    }

    private static function feed(Situation $now, bool $severe): string
    {
        $days = $severe && $now->follows['feedDays'] < 7 ? 7.0 : $now->follows['feedDays'];

        return match (true) {
            $severe && $now->fragile
                => 'Feed next to nothing for a week, little and often: fish this small cannot go without.',
            $days > 0 => 'No feed for ' .
                ($days >= 7 ? 'a week' : ($days <= 1 ? 'a day' : Format::number($days) . ' days')) .
                ', then a quarter of it.',
            default => 'Feed ' .
                Format::number(100 * $now->follows['feedShare'], 2) .
                ' %' .
                ($now->feedGD > 0
                    ? ', ' . Format::number($now->follows['feedShare'] * $now->feedGD, 2) . ' g a day'
                    : '') .
                ', until it is down.',
        };
    }
}
