<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/** A span of time as it is said: minutes up to an hour and a half, then hours; never longer than it is. */
final readonly class Span
{
    private const IN_MINUTES = 90.0;

    /** @param  float  $minutes  0 or more */
    public static function text(float $minutes): string
    {
        return $minutes < self::IN_MINUTES
            ? Format::number(floor($minutes), 3) . ' min'
            : Format::number(floor($minutes / 6) / 10, 3) . ' h';
    }
}
