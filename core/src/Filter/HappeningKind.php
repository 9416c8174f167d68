<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** What can happen to a filter. */
enum HappeningKind: string
{
    /** Fish and feed give so much from then on. */
    case Load = 'load';

    /** The water is so warm from then on. */
    case Warmth = 'warmth';

    /** So much of today's surface stands from then on. */
    case Media = 'media';

    /** So much of what lived died. */
    case Lost = 'lost';

    /** So much was brought in. */
    case Seeded = 'seeded';

    /** It was put to sleep, without ammonia, for so long. */
    case Slept = 'slept';
}
