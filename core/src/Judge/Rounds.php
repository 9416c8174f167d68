<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/**
 * How long a round lasts, and what seen on fish is looked for again, for how long.
 *
 * @source cp-rounds
 */
final readonly class Rounds
{
    /** A system looked at so lately is looked at on this round, hours. */
    public const LASTS_H = 6.0;

    /** What was seen on fish is looked for again for so long, days. */
    public const LOOK_AGAIN_D = 7;

    /** What is often seen, as it is written in the book: whether it is something wrong with fish. */
    private const SEEN = [
        'flashing' => true,
        'gasping at the surface' => true,
        'at the returns' => true,
        'clamped fins' => true,
        'hanging' => true,
        'lying down' => true,
        'off their food' => true,
        'fed well' => false,
        'ulcer' => true,
        'cottony growth' => true,
        'lost balance' => true,
        'spawning' => false,
        'green water' => false,
        'cloudy water' => false,
        'clear water' => false,
        'foam' => false,
        'smell' => false,
        'string algae' => false,
        'brown water' => false,
        'leaves' => false,
    ];

    /** @return list<string> */
    public static function seen(): array
    {
        return array_keys(self::SEEN);
    }

    /**
     * @param  list<string>  $seen
     * @return list<string> those of them that are wrong with fish
     */
    public static function ailing(array $seen): array
    {
        return array_values(array_filter($seen, static fn(string $sign): bool => self::SEEN[$sign] ?? false));
    }
}
