<?php

declare(strict_types=1);

namespace Ironwort\Core\Incident;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What keeps an incident open. Common practice, no source: what was bad is read good twice, two days apart or more,
 * with nothing bad in between; nothing is seen on the fish for two days, and none dies for three.
 */
final readonly class Ending
{
    public const CLEAN_H = 48.0;

    private const SIGNS_H = 48.0;

    private const DEATHS_H = 72.0;

    /**
     * @param  array<string, ?float>  $cleanForH  by name: hours from the first good reading after the last bad one to
     *     the newest; null where it was not read good since
     * @param  ?float  $signsH  hours since something was last seen on the fish; null where nothing was
     * @param  ?float  $deathH  hours since a fish last died; null where none did
     * @return list<Message>
     */
    public static function missing(array $cleanForH, ?float $signsH, ?float $deathH): array
    {
        $missing = [];
        foreach ($cleanForH as $name => $hours) {
            if ($hours === null) {
                $missing[] = Message::of('incident.end_not_clean', ['name' => $name]);
            } elseif ($hours < self::CLEAN_H) {
                $missing[] = Message::of('incident.end_clean_for', [
                    'name' => $name,
                    'hours' => Format::number(floor($hours), 3),
                    'of' => Format::number(self::CLEAN_H),
                ]);
            }
        }
        if ($signsH !== null && $signsH < self::SIGNS_H) {
            $missing[] = Message::of('incident.end_signs', ['hours' => Format::number(floor($signsH), 3)]);
        }
        if ($deathH !== null && $deathH < self::DEATHS_H) {
            $missing[] = Message::of('incident.end_death', ['hours' => Format::number(floor($deathH), 3)]);
        }

        return $missing;
    }
}
