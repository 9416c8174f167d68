<?php

declare(strict_types=1);

namespace App\Readings;

use App\Forms\Origin;
use App\Models\Age;
use App\Models\Reading as Entry;
use Ironwort\Core\Judge\Reading;
use Ironwort\Core\Measure\Format;

/** Where a reading that went into a figure came from: who measured it and when, or that it was typed just now. */
final readonly class ReadingOrigin
{
    public static function of(Reading $reading, ?Entry $entry): Origin
    {
        $parameter = $reading->parameter;
        $unit = $parameter->symbol();

        return new Origin(
            $parameter->value,
            $parameter->name(),
            Format::number($parameter->shown($reading->value)) . ($unit === null ? '' : " {$unit}"),
            $entry === null ? 'typed' : 'measured',
            $entry === null
                ? 'typed just now'
                : trim(
                    'measured ' .
                        Age::of($entry->taken_at) .
                        ($entry->visit->user === null ? '' : " by {$entry->visit->user->name}"),
                ),
        );
    }
}
