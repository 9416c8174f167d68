<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Calc\Caution;
use Ironwort\Core\Calc\Level;
use Ironwort\Core\Measure\Say;

/**
 * How often a system of its kind should go through its filter, times an hour.
 *
 * @source cp-turnover
 */
final readonly class Turnover
{
    private const TARGETS = ['display' => 0.5, 'holding' => 1.0, 'quarantine' => 1.0, 'fry' => 1.0, 'start' => 1.0, 'hospital' => 1.0];

    public static function target(string $kind): float
    {
        return self::TARGETS[$kind] ?? 1.0;
    }

    public static function check(string $kind, float $turnovers): ?Caution
    {
        $target = self::target($kind);

        return $turnovers >= $target ? null : new Caution(Level::Watch,
            'The water comes round '.Say::number($turnovers, 2).' times an hour; '.Say::number($target).' or more is common for this kind of system.');
    }
}
