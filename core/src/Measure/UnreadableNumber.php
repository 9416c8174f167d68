<?php

declare(strict_types=1);

namespace Ironwort\Core\Measure;

/** What was typed is not one number; the message says what to type instead. */
final class UnreadableNumber extends \RuntimeException
{
    public static function empty(): self
    {
        return new self('Type a number.');
    }

    public static function notANumber(string $typed): self
    {
        return new self('“' . mb_substr($typed, 0, 20) . '” is not a number.');
    }

    /** @param  string  $unit  of the field */
    public static function otherUnit(string $typed, string $unit): self
    {
        return new self('“' . mb_substr($typed, 0, 20) . "” is not a unit of this field. It is in {$unit}.");
    }

    public static function ambiguous(string $typed): self
    {
        return new self(
            "“{$typed}” can be read as a decimal or as thousands: write " .
                str_replace(',', '', $typed) .
                ' or ' .
                str_replace(',', '.', $typed) .
                '.',
        );
    }
}
