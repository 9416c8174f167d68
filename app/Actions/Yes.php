<?php

declare(strict_types=1);

namespace App\Actions;

/** A yes as forms and programs send it; anything else is no. */
final readonly class Yes
{
    public static function said(mixed $answer): bool
    {
        return in_array($answer, [true, 1, '1', 'yes', 'true'], true);
    }
}
