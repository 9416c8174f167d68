<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

use Ironwort\Core\Filter\Deed;

/** The water that media are rinsed in: two schools, and the mistake. */
enum Rinse: string
{
    case System = 'system';
    case Hosed = 'hosed';
    case Chlorinated = 'chlorinated';

    public function deed(): Deed
    {
        return match ($this) {
            self::System => Deed::Swished,
            self::Hosed => Deed::Hosed,
            self::Chlorinated => Deed::HosedChlorinated,
        };
    }
}
