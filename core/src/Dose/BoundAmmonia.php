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

    public const RULE =
        'Kits by salicylate count bound ammonia in; kits by Nessler’s reagent ' .
        'may turn wrong altogether. It wears off in a day or two.';

    public const MARK = 'read with a binder in the water';
}
