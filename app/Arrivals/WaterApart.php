<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Readings\LatestWater;
use Ironwort\Core\Exchange\Move;
use Ironwort\Core\Exchange\Shock;
use Ironwort\Core\Judge\Parameter;

/** What of two waters is farther apart than fish stand at once, as both were last read. */
final readonly class WaterApart
{
    /** @return list<Move> the farthest apart first */
    public static function between(LatestWater $here, LatestWater $there): array
    {
        $of = static fn(LatestWater $water): array => array_filter(
            array_map(
                static fn(string $key): ?float => $water->get(Parameter::from($key))?->value,
                array_combine(array_keys(Shock::A_DAY), array_keys(Shock::A_DAY)),
            ),
            static fn(?float $value): bool => $value !== null,
        );

        return Move::between($of($here), $of($there));
    }
}
