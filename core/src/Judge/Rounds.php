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

    /** Something that is not wrong with fish. */
    private const WELL = 0;

    /** Wrong with fish, told by how they behave. */
    private const BEHAVES = 1;

    /** Wrong with fish, and to be seen at a place on the body. */
    private const PLACED = 2;

    /** What is often seen, as it is written in the book. */
    private const SEEN = [
        'flashing' => self::BEHAVES,
        'gasping at the surface' => self::BEHAVES,
        'at the returns' => self::BEHAVES,
        'clamped fins' => self::BEHAVES,
        'hanging' => self::BEHAVES,
        'lying down' => self::BEHAVES,
        'off their food' => self::BEHAVES,
        'fed well' => self::WELL,
        'ulcer' => self::PLACED,
        'cottony growth' => self::PLACED,
        'lost balance' => self::BEHAVES,
        'fast gills' => self::BEHAVES,
        'jumping' => self::BEHAVES,
        'sluggish' => self::BEHAVES,
        'curled' => self::BEHAVES,
        'thin' => self::BEHAVES,
        'swollen belly' => self::BEHAVES,
        'raised scales' => self::PLACED,
        'lost scales' => self::PLACED,
        'red patch' => self::PLACED,
        'torn fin' => self::PLACED,
        'white spots' => self::PLACED,
        'bulging eye' => self::PLACED,
        'parasite to be seen' => self::PLACED,
        'spawning' => self::WELL,
        'green water' => self::WELL,
        'cloudy water' => self::WELL,
        'clear water' => self::WELL,
        'foam' => self::WELL,
        'smell' => self::WELL,
        'string algae' => self::WELL,
        'brown water' => self::WELL,
        'leaves' => self::WELL,
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
        return array_values(
            array_filter($seen, static fn(string $sign): bool => (self::SEEN[$sign] ?? self::WELL) !== self::WELL),
        );
    }

    /** @return list<string> all that can be wrong with fish */
    public static function signs(): array
    {
        return self::ailing(self::seen());
    }

    /** Whether a sign has a place on the body that can be marked. */
    public static function placed(string $sign): bool
    {
        return (self::SEEN[$sign] ?? self::WELL) === self::PLACED;
    }
}
