<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A what-if of the Capacity page, kept by name.
 *
 * @property string $name
 * @property array<string, string> $changes as typed
 */
final class WhatIf extends Part
{
    /** What-ifs compared, no more can be compared. */
    public const MOST = 12;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['changes' => 'array'];
    }
}
