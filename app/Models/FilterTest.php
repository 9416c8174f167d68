<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * What a filter was measured to take, by ammonia before and after it or by a run of readings, against what was
 * expected.
 *
 * @property Carbon $tested_at
 * @property ?float $flow_l_h
 * @property ?float $in_mg_l
 * @property ?float $out_mg_l
 * @property ?array{volume_l: float, load_g_d: float, change_l_d: float, readings: list<array{day: float,
 *     low_mg_l: float,
 *     high_mg_l: float}>} $run the run of readings it was found from
 * @property float $expected_g_d
 * @property bool $in_use whether it stands in for the estimate
 */
final class FilterTest extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'tested_at' => 'datetime',
            'flow_l_h' => 'float',
            'in_mg_l' => 'float',
            'out_mg_l' => 'float',
            'expected_g_d' => 'float',
            'run' => 'array',
            'in_use' => 'boolean',
        ];
    }

    public function calculator(): string
    {
        return $this->run === null ? 'filter.single_pass' : 'filter.from_readings';
    }

    /** @return array<string, mixed> input of `filter.single_pass` or `filter.from_readings` */
    public function calculation(): array
    {
        return $this->run ?? [
            'flow_l_h' => $this->flow_l_h,
            'in_mg_l' => $this->in_mg_l,
            'out_mg_l' => $this->out_mg_l,
        ];
    }
}
