<?php

declare(strict_types=1);

namespace App\Models;

/** What a person may do. Readers look and never write. */
enum Role: string
{
    case Owner = 'owner';
    case Helper = 'helper';
    case Reader = 'reader';

    public function writes(): bool
    {
        return $this !== self::Reader;
    }
}
