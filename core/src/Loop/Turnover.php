<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Judge\Following;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * How often a system of its kind should go through its filter, and be moved at all, times an hour, by the school it
 * follows.
 *
 * @source cp-turnover, cp-circulation
 */
final readonly class Turnover
{
    public static function target(string $kind, Following $following): float
    {
        return $following->in('turnover')->figure($kind === 'display' ? 'display' : 'other');
    }

    /**
     * @param  float  $turnovers  volumes an hour through the filter
     * @param  float  $moved  volumes an hour by filter and circulation pumps together
     * @return list<Caution>
     */
    public static function check(string $kind, Following $following, float $turnovers, float $moved): array
    {
        $cautions = [];
        $target = self::target($kind, $following);
        if ($turnovers < $target) {
            $cautions[] = new Caution(
                Level::Watch,
                Message::of('loop.turnover_water_comes_round_times', [
                    'turnovers' => Format::number($turnovers, 2),
                    'target' => Format::number($target),
                    'name' => lcfirst($following->in('turnover')->name),
                ]),
            );
        }
        $circulation = $following->in('circulation')->figure('volumes_per_h');
        if ($moved < $circulation) {
            $cautions[] = new Caution(
                Level::Watch,
                Message::of('loop.turnover_filter_circulation_pumps_move', [
                    'moved' => Format::number($moved, 2),
                    'circulation' => Format::number($circulation),
                ]),
            );
        }

        return $cautions;
    }
}
