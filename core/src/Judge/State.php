<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

/** How things stand, in the same four words everywhere. */
enum State: string
{
    case Good = 'good';
    case Watch = 'watch';
    case Act = 'act';
    case Emergency = 'emergency';

    public function rank(): int
    {
        return match ($this) {
            self::Good => 0,
            self::Watch => 1,
            self::Act => 2,
            self::Emergency => 3,
        };
    }

    public function worseThan(self $other): bool
    {
        return $this->rank() > $other->rank();
    }
}
