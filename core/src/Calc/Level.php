<?php

declare(strict_types=1);

namespace Ironwort\Core\Calc;

/** How much a caution matters. */
enum Level: string
{
    /** Worth knowing: an assumption, a limit of the method. */
    case Note = 'note';

    /** Something to keep an eye on. */
    case Watch = 'watch';

    /** Fish or people can come to harm. */
    case Danger = 'danger';
}
