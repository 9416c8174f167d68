<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/** Numbers as they are written in working, messages and cautions. */
final readonly class Format
{
    /** Under this nothing that is kept or dosed is measured, and a row of noughts says less than one. */
    private const NOTHING = 1e-5;

    /** A number to so many significant figures, without trailing zeros, thousands apart. */
    public static function number(float $value, int $significant = 4): string
    {
        if (abs($value) < self::NOTHING) {
            return '0';
        }
        $magnitude = (int) floor(log10(abs($value)));
        $decimals = max(0, $significant - 1 - $magnitude);
        $text = number_format(round($value, $decimals), $decimals, '.', ',');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** A number nobody measures finer: to so many significant figures, left of the point as well. 9,167 L are 9,200. */
    public static function about(float $value, int $significant = 2): string
    {
        $magnitude = abs($value) < self::NOTHING ? 0 : (int) floor(log10(abs($value)));

        return self::number(round($value, $significant - 1 - $magnitude), $significant);
    }

    /** A span of time as one says it: hours up to two days, then days. */
    public static function days(float $days): string
    {
        [$count, $unit] = $days < 2 ? [max(0.0, 24 * $days), 'hour'] : [$days, 'day'];
        $said = $unit === 'hour' ? (string) (int) round($count) : self::number($count, 2);

        return "{$said} {$unit}" . ($said === '1' ? '' : 's');
    }
}
