<?php

declare(strict_types=1);

namespace App\Models;

/** A connection that, asked the same of many one by one, asks it for all of them at once. */
interface LooksAtMany
{
    /** @param  list<string>  $keys  ULIDs */
    public function lookAtTogether(array $keys): void;
}
