<?php

declare(strict_types=1);

namespace Ironwort\Core\Vessel;

/**
 * How a floor falls below the foot of upright walls, whatever the outline above it, and what water it holds.
 *
 * A cone over any outline holds a third of its prism. A dish falls with the square of the way in from the wall, and
 * holds half. A pitched floor falls evenly along the length to its deep end: half where the outline is the same from
 * both ends, else by where the middle of its area lies.
 *
 * @source geometry
 */
enum Floor: string
{
    case Flat = 'flat';
    case Coned = 'coned';
    case Dished = 'dished';
    case Pitched = 'pitched';

    public function label(): string
    {
        return match ($this) {
            self::Flat => 'flat',
            self::Coned => 'coned to a drain',
            self::Dished => 'dished',
            self::Pitched => 'pitched along the length',
        };
    }

    /**
     * Share of `plan × fall` that is water, 0 to 1.
     *
     * @param  float  $middle  where the middle of the area lies on the way from the shallow to the deep end, 0 to 1
     */
    public function share(float $middle = 0.5): float
    {
        return match ($this) {
            self::Flat => 0.0,
            self::Coned => 1 / 3,
            self::Dished => 0.5,
            self::Pitched => $middle,
        };
    }
}
