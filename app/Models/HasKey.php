<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Support\Str;

/** A ULID as key, in capitals as its specification writes it, whether made here or by a client. */
trait HasKey
{
    use HasUlids;

    public function newUniqueId(): string
    {
        return strtoupper((string) Str::ulid());
    }
}
