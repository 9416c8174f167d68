<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What is fed while something is wrong: said once in a plan, and the strictest of what its causes ask for.
 *
 * @source cp-incident
 */
final readonly class Feeding
{
    private const A_WEEK = 7.0;

    /**
     * @param  list<Cause>  $causes
     * @return ?array{Cause, Message, ?Message} whose step it is, what to do and why; null where feed is no matter
     */
    public static function of(Situation $now, array $causes): ?array
    {
        $has = static fn(Cause $cause): bool => in_array($cause, $causes, true);
        $first = static fn(Cause ...$of): ?Cause => array_values(
            array_filter($causes, static fn(Cause $cause): bool => in_array($cause, $of, true)),
        )[0] ?? null;
        $severe = $has(Cause::Ammonia) && AmmoniaAnswer::severe($now);
        $whose = $first(Cause::Oxygen, Cause::Ammonia, Cause::Nitrite, Cause::Nitrate);
        if ($whose === null) {
            return null;
        }
        $days = $severe ? max(self::A_WEEK, $now->follows['feedDays']) : $now->follows['feedDays'];
        $fasts = ($has(Cause::Ammonia) || $has(Cause::Nitrite)) && $days > 0;

        return match (true) {
            $severe && $now->fragile => [
                $whose,
                Message::of('incident.ammonia_feed_next_to_nothing'),
                self::made($now),
            ],
            $fasts => [
                $whose,
                Message::of('incident.ammonia_no_feed', [
                    'time' =>
                        $days >= self::A_WEEK ? 'a week' : ($days <= 1 ? 'a day' : Format::number($days) . ' days'),
                ]),
                self::made($now),
            ],
            $has(Cause::Oxygen) => [
                $whose,
                Message::of('incident.oxygen_no_feed', ['value' => Format::number(max(6.0, $now->doLimit), 2)]),
                Message::of('incident.oxygen_why_fish_digest_breathe_twice'),
            ],
            $has(Cause::Ammonia), $has(Cause::Nitrite) => [$whose, self::share($now), self::made($now)],
            default => [$whose, Message::of('incident.nitrate_no_feed'), null],
        };
    }

    private static function share(Situation $now): Message
    {
        $share = ['share' => Format::number(100 * $now->follows['feedShare'], 2)];

        return $now->feedGD > 0
            ? Message::of('incident.ammonia_feed_share_weighed', [
                ...$share,
                'feed' => Format::number($now->follows['feedShare'] * $now->feedGD, 2),
            ])
            : Message::of('incident.ammonia_feed_share', $share);
    }

    private static function made(Situation $now): Message
    {
        return $now->tanGD > 0
            ? Message::of('incident.ammonia_why_fed_made_weighed', ['tan' => Format::number($now->tanGD, 2)])
            : Message::of('incident.ammonia_why_fed_made');
    }
}
