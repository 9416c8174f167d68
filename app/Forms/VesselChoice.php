<?php

declare(strict_types=1);

namespace App\Forms;

use App\Models\System;
use Ironwort\Core\Calc\BadInput;

/** The vessel that a part stands in, or fish swim in, as a form names it. */
final readonly class VesselChoice
{
    /**
     * @return ?string its key; null where none is named
     *
     * @throws BadInput at `vessel_id`
     */
    public static function vessel(System $system, mixed $typed): ?string
    {
        if ($typed === null || $typed === '') {
            return null;
        }

        return is_string($typed) && $system->vessels->contains('id', $typed)
            ? $typed
            : throw BadInput::at('vessel_id', 'There is no such vessel in this system.');
    }
}
