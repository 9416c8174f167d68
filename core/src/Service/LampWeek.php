<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * A lamp tried for a week: how far one sees before and after, at the same spot. Sight in cm, times in days since the
 * lamp was lit. Common practice, no source.
 */
final readonly class LampWeek
{
    /** Read so long before it was lit at the most. */
    public const BEFORE_D = 7.0;

    /** After fewer days it says nothing yet; after more, something else may have happened. */
    public const AFTER_FROM_D = 5.0;

    public const AFTER_UNTIL_D = 14.0;

    /** Out for less it goes on as it burnt before, h. */
    public const OUT_H = 24.0;

    /** A disc is read to a hand's breadth: less of a difference is none, cm and share. */
    private const HAND_CM = 5.0;

    private const HAND = 0.1;

    /** @param  float  $litD  days since the lamp was lit */
    public static function says(?float $beforeCm, ?float $afterCm, float $litD): Message
    {
        if ($beforeCm === null) {
            return Message::of('service.lamp_no_before');
        }
        if ($afterCm === null) {
            return $litD < self::AFTER_FROM_D
                ? Message::of('service.lamp_wait', ['days' => Format::number(ceil(7.0 - $litD), 2)])
                : Message::of($litD <= self::AFTER_UNTIL_D ? 'service.lamp_measure_now' : 'service.lamp_no_after');
        }
        $more = $afterCm - $beforeCm;
        $least = max(self::HAND_CM, self::HAND * $beforeCm);

        return Message::of(
            match (true) {
                $more > $least => 'service.lamp_clearer',
                $more < -$least => 'service.lamp_murkier',
                default => 'service.lamp_the_same',
            },
            ['more' => Format::number(abs($more), 2)],
        );
    }
}
