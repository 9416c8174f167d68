<?php

declare(strict_types=1);

namespace App\Models;

/**
 * How often a keeper wants something tested in one system; null: not at all.
 *
 * @property string $parameter
 * @property ?float $every_h
 */
final class TestPlan extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['every_h' => 'float'];
    }
}
