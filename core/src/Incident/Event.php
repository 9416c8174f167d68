<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

/** What an incident begins with, and what is then to be seen. */
enum Event: string
{
    case Reading = 'reading';
    case Seen = 'seen';
    case PowerCut = 'power_cut';
    case PumpBlocked = 'pump_blocked';
    case TapWash = 'tap_wash';
    case Overdose = 'overdose';
    case DeadFish = 'dead_fish';
    case WrongWater = 'wrong_water';

    public function name(): string
    {
        return match ($this) {
            self::Reading => 'a bad reading',
            self::Seen => 'something seen',
            self::PowerCut => 'a power cut',
            self::PumpBlocked => 'a pump blocked or failed',
            self::TapWash => 'the filter was washed in tap water',
            self::Overdose => 'too much was given',
            self::DeadFish => 'a dead fish was found',
            self::WrongWater => 'wrong water went in',
        };
    }

    /** @return list<Sign> what holds from the first minute */
    public function signs(): array
    {
        return match ($this) {
            self::PowerCut, self::PumpBlocked => [Sign::PumpStopped],
            self::TapWash, self::WrongWater => [Sign::AfterFill],
            self::DeadFish => [Sign::DeadFish],
            self::Reading, self::Seen, self::Overdose => [],
        };
    }
}
