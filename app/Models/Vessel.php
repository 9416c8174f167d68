<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A bay, vat, tub, pond, sump or chamber. Its volume is computed from its shape whenever it is asked for.
 *
 * @property string $name
 * @property string $kind
 * @property string $shape
 * @property array<string, mixed> $measures
 * @property float $freeboard_m
 * @property float $displaced_l
 * @property bool $netted
 * @property int $position
 */
final class Vessel extends Part
{
    public const KINDS = ['bay', 'vat', 'tub', 'pond', 'sump', 'chamber'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['measures' => 'array', 'freeboard_m' => 'float', 'displaced_l' => 'float', 'netted' => 'boolean'];
    }

    /** @return array<string, mixed> input of `volume.vessel` */
    public function calculation(): array
    {
        return ['shape' => $this->shape, ...$this->measures, 'freeboard_m' => $this->freeboard_m, 'displaced_l' => $this->displaced_l];
    }
}
