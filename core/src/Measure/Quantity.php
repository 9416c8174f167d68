<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/** What a unit measures. Units convert only within one quantity. */
enum Quantity: string
{
    case Volume = 'volume';
    case Nitrate = 'nitrate';
    case Nitrite = 'nitrite';
    case Ammonia = 'ammonia';
    case Alkalinity = 'alkalinity';
    case Hardness = 'hardness';
    case Salt = 'salt';
    case Temperature = 'temperature';
}
