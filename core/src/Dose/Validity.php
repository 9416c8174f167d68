<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/** How long readings and doses count when something else is to be given. Common practice, no source. */
final readonly class Validity
{
    /** A reading older than this is taken again before anything is dosed by it, days. */
    public const READING_D = 3.0;

    /** Something of which nothing but its label is known counts as there for so long, days. */
    public const UNKNOWN_D = 7.0;

    /** Less than this share of a dose is none. */
    public const GONE = 0.05;

    /** Two people who give the same within so many minutes mean one dose, unless they say otherwise. */
    public const SAME_DEED_MIN = 10;

    /** Doses older than this are taken to be gone, days. */
    public const BACK_D = 60;
}
