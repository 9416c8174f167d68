<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

/** What holds a stage back. */
enum Limit: string
{
    /** The surface, with what grows on it in this water. */
    case Surface = 'surface';

    /** The oxygen that reaches it. */
    case Oxygen = 'oxygen';

    /** The ammonia that the flow brings. */
    case Transport = 'transport';
}
