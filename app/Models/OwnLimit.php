<?php

declare(strict_types=1);

namespace App\Models;

use Ironwort\Core\Judge\Bounds;

/**
 * A limit a keeper set for one system, with the reason.
 *
 * @property string $parameter
 * @property ?array{watch: float, act: float, emergency: float} $below canonical units
 * @property ?array{watch: float, act: float, emergency: float} $above
 * @property string $reason
 */
final class OwnLimit extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['below' => 'array', 'above' => 'array'];
    }

    /** @param  ?array{watch: float, act: float, emergency: float}  $side */
    public static function bounds(?array $side): ?Bounds
    {
        return $side === null
            ? null
            : new Bounds((float) $side['watch'], (float) $side['act'], (float) $side['emergency']);
    }
}
