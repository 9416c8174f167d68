<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/**
 * The season by the calendar of the northern half of the world, for daylight and what grows. The season of the water
 * itself is told by its temperature, never by this.
 *
 * @source cp-seasons
 */
enum CalendarSeason: string
{
    case Winter = 'winter';
    case Spring = 'spring';
    case Summer = 'summer';
    case Autumn = 'autumn';

    /** @param  int  $month  1 to 12 */
    public static function ofMonth(int $month): self
    {
        return match (intdiv($month % 12, 3)) {
            0 => self::Winter,
            1 => self::Spring,
            2 => self::Summer,
            default => self::Autumn,
        };
    }

    /** Hours of darkness, at about 50° north. */
    public function nightH(): float
    {
        return match ($this) {
            self::Winter => 15.0,
            self::Spring => 11.0,
            self::Summer => 8.0,
            self::Autumn => 12.0,
        };
    }
}
