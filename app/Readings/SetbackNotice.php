<?php

declare(strict_types=1);

namespace App\Readings;

use App\Models\Setback;
use App\Models\System;
use Ironwort\Core\Filter\AfterSetback;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** Filter setbacks of a system in the last two weeks: the one sentence that every page says of it. */
final readonly class SetbackNotice
{
    public const RULE =
        'After a setback ammonia and nitrite are tested every 12 h for ' . 'two weeks; a gentle rinse is care.';

    /** Null where nothing befell it. */
    public static function of(System $system): ?Message
    {
        $open = Setback::open($system);
        if ($open === []) {
            return null;
        }
        $said = static fn(float ...$lost): string => Format::number(AfterSetback::together(array_values($lost)), 2);

        return Message::of('filter.set_back', [
            'deed' => implode(
                '; ',
                array_map(
                    static fn(Setback $one): string => $one->kind->name() . ' on ' . $one->happened_on->format('j M'),
                    $open,
                ),
            ),
            'lost' => $said(...array_map(static fn(Setback $one): float => $one->lost_pct, $open)),
            'low' => $said(...array_map(static fn(Setback $one): float => $one->low_pct, $open)),
            'high' => $said(...array_map(static fn(Setback $one): float => $one->high_pct, $open)),
            'until' => $open[0]->until()->format('j M'),
        ]);
    }
}
