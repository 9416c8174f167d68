<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * When fish are due to be looked at one by one: in quarantine by the protocol; after ammonia or nitrite that was to be
 * acted on, since infection follows it; in spring, while the water warms faster than fish mend.
 *
 * Days, °C. Common practice, no source, for all of its figures.
 *
 * @source cp-quarantine
 */
final readonly class LookDue
{
    /** Infection is watched for so long after such a reading, days. */
    public const AFTER_INCIDENT_D = 21.0;

    private const INCIDENT_EVERY_D = 3.0;

    private const SPRING_EVERY_D = 7.0;

    private const SPRING_FROM_C = 8.0;

    private const SPRING_TO_C = 17.0;

    /** What the water gained in four weeks, °C. */
    private const WARMS_C = 2.0;

    /**
     * @param  ?float  $lookedD  days since somebody looked; null where nobody did
     * @param  ?float  $protocolD  days between looks where fish are held in quarantine; null elsewhere
     * @param  ?float  $incidentD  days since ammonia or nitrite was last read to be acted on
     * @param  ?float  $nowC  the water
     * @param  ?float  $monthAgoC  and four weeks ago
     * @return ?Message why they are due; null where they are not
     */
    public static function why(
        ?float $lookedD,
        ?float $protocolD,
        ?float $incidentD,
        ?float $nowC,
        ?float $monthAgoC,
    ): ?Message {
        $over = static fn(float $everyD): bool => $lookedD === null || $lookedD >= $everyD;
        $warms =
            $nowC !== null &&
            $monthAgoC !== null &&
            $nowC >= self::SPRING_FROM_C &&
            $nowC <= self::SPRING_TO_C &&
            $nowC - $monthAgoC >= self::WARMS_C;

        return match (true) {
            $protocolD !== null && $over($protocolD) => Message::of('fish.look_quarantine', [
                'days' => Format::number($protocolD),
            ]),
            $incidentD !== null && $incidentD <= self::AFTER_INCIDENT_D && $over(self::INCIDENT_EVERY_D) => Message::of(
                'fish.look_incident',
                ['days' => Format::number(floor($incidentD), 2)],
            ),
            $warms && $over(self::SPRING_EVERY_D) => Message::of('fish.look_spring'),
            default => null,
        };
    }
}
