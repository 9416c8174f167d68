<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A pump of the loop, a circulator in a vessel, or an air pump.
 *
 * @property string $name
 * @property string $kind
 * @property ?list<array{flow_l_h: float, head_m: float}> $curve of a water pump
 * @property ?float $rated_l_h of a circulator
 * @property ?float $air_l_min of an air pump
 * @property float $power_w
 * @property ?string $circuit
 * @property bool $running
 * @property int $position
 */
final class Pump extends Part
{
    public const KINDS = ['water', 'circulator', 'air'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['curve' => 'array', 'rated_l_h' => 'float', 'air_l_min' => 'float', 'power_w' => 'float', 'running' => 'boolean'];
    }
}
