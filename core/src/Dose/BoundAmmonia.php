<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

/**
 * What a binder does to ammonia kits, so that readings taken after it are marked.
 *
 * @source binder-and-kits-from-memory
 */
final readonly class BoundAmmonia
{
    /** How long after a binder readings are marked. */
    public const HOURS = 48;

    public const SAYS =
        'There is a binder in the water: ammonia kits read what is bound as if ' .
        'it burned. Go by the fish, by pH, and by whether the reading falls from ' .
        'day to day.';

    public const RULE =
        'Kits by salicylate count bound ammonia in; kits by Nessler’s reagent ' .
        'may turn wrong altogether. It wears off in a day or two.';

    public const MARK = 'read with a binder in the water';
}
