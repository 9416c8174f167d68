<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Fish of one size that are counted together.
 *
 * @property string $name
 * @property int $count
 * @property float $length_cm
 * @property float $condition
 * @property ?string $vessel_id the bay they swim in
 * @property int $position
 */
final class FishGroup extends Part
{
    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['count' => 'integer', 'length_cm' => 'float', 'condition' => 'float'];
    }

    /** @return array<string, float> input of `fish.weight` */
    public function calculation(): array
    {
        return ['length_cm' => $this->length_cm, 'condition' => $this->condition];
    }
}
