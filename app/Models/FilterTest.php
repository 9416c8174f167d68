<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * Ammonia before and after the filter, and what that says against what was expected.
 *
 * @property Carbon $tested_at
 * @property float $flow_l_h
 * @property float $in_mg_l
 * @property float $out_mg_l
 * @property float $expected_g_d
 * @property bool $in_use whether it stands in for the estimate
 */
final class FilterTest extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['tested_at' => 'datetime', 'flow_l_h' => 'float', 'in_mg_l' => 'float', 'out_mg_l' => 'float', 'expected_g_d' => 'float', 'in_use' => 'boolean'];
    }

    /** @return array<string, float> input of `filter.single_pass` */
    public function calculation(): array
    {
        return ['flow_l_h' => $this->flow_l_h, 'in_mg_l' => $this->in_mg_l, 'out_mg_l' => $this->out_mg_l];
    }
}
