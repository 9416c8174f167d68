<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/** How far a start has come, as it shows in the water. */
enum Stage: string
{
    /** Ammonia rises; nothing takes it yet. */
    case Waiting = 'waiting';

    /** Ammonia is being taken, and nitrite appears. */
    case Ammonia = 'ammonia';

    /** Ammonia is down; nitrite stands. */
    case Nitrite = 'nitrite';

    /** Both are down, not yet for long enough. */
    case Proving = 'proving';

    case Ready = 'ready';

    /** @param  array<string, float>  $now  a point of the water */
    public static function of(array $now, float $tanLimit, float $no2Limit, bool $ready): self
    {
        return match (true) {
            $ready => self::Ready,
            $now['tan_mg_l'] <= $tanLimit && $now['no2_n_mg_l'] <= $no2Limit => self::Proving,
            $now['tan_mg_l'] <= $tanLimit => self::Nitrite,
            $now['no2_n_mg_l'] > $no2Limit => self::Ammonia,
            default => self::Waiting,
        };
    }
}
