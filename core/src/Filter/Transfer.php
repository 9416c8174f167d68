<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** What brings oxygen into the water inside a stage. */
enum Transfer: string
{
    case None = 'none';
    case Air = 'air';
    case Fall = 'fall';
    case Bog = 'bog';
}
