<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A source water tested, before or behind the keeper's own treatment unit.
 *
 * @property string $id
 * @property string $side raw or treated
 * @property Carbon $tested_on
 * @property array<string, array{typed: string, unit: ?string, value: float}> $readings
 * @property bool $chloramine
 */
final class WaterTest extends Model
{
    use HasKey;
    use PlainAttributes;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['tested_on' => 'date', 'readings' => 'array', 'chloramine' => 'boolean'];
    }
}
