<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/**
 * What a filter is seeded with, and how much of it comes to live there.
 *
 * Shares of what lived on the media at the donor, likely, least and most; cultures in mg N/L/d at 20 °C of the water
 * they are given to.
 *
 * @source seed-from-memory
 */
enum SeedKind: string
{
    case OwnMedia = 'own_media';
    case FriendsMedia = 'friends_media';
    case Squeezings = 'squeezings';
    case Culture = 'culture';
    case OldWater = 'old_water';

    /** How much of its surface a donor's media are taken to be grown where nobody knows the donor, %. */
    public const UNKNOWN_DONOR_PCT = [40.0, 10.0, 80.0];

    public function name(): string
    {
        return match ($this) {
            self::OwnMedia => 'Media from one of your own systems',
            self::FriendsMedia => 'Media from somebody else',
            self::Squeezings => 'Squeezings of a sponge or mat',
            self::Culture => 'Bottled culture',
            self::OldWater => 'Old tank water',
        };
    }

    /** Whether it is measured in litres of media. */
    public function isMedia(): bool
    {
        return $this === self::OwnMedia || $this === self::FriendsMedia || $this === self::Squeezings;
    }

    /** @return array{float, float, float} share that lives on, likely, least and most, 0 to 1 */
    public function takes(): array
    {
        return match ($this) {
            self::OwnMedia => [0.9, 0.7, 1.0],
            self::FriendsMedia => [0.8, 0.3, 1.0],
            self::Squeezings => [0.05, 0.01, 0.2],
            self::Culture, self::OldWater => [0.0, 0.0, 0.0],
        };
    }

    /** @return array{float, float, float} of a bottle given by its label, mg N/L/d at 20 °C */
    public static function culture(): array
    {
        return [0.03, 0.0, 0.3];
    }
}
