<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * When a lamp and its sleeve are due: the lamp by the hours it was lit, the sleeve by the days it was wet, lit or not.
 *
 * @source cp-uv  lamp each year of burning or about 9,000 h, sleeve each quarter
 */
final class LampWear
{
    public const LAMP_H = 9000.0;

    public const SLEEVE_D = 91.0;

    /**
     * @param  ?float  $litHours  null where nobody said when it was fitted
     * @param  ?float  $fittedDays
     * @param  ?float  $wetDays  since the sleeve was wiped
     * @return list<Message>
     */
    public static function due(string $name, ?float $litHours, ?float $fittedDays, ?float $wetDays): array
    {
        return array_values(
            array_filter([
                $litHours !== null && $litHours >= self::LAMP_H
                    ? Message::of('flow.lamp_due', [
                        'name' => $name,
                        'hours' => Format::number(round($litHours, -2), 5),
                        'months' => Format::number(round(($fittedDays ?? 0.0) / 30.4), 2),
                    ])
                    : null,
                $wetDays !== null && $wetDays >= self::SLEEVE_D
                    ? Message::of('flow.sleeve_due', ['name' => $name, 'days' => Format::number(floor($wetDays), 4)])
                    : null,
            ]),
        );
    }
}
