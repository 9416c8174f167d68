<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Filter\SeedKind;
use Ironwort\Core\Measure\Format;

/**
 * Bacteria that were brought into a filter.
 *
 * @property Carbon $happened_on
 * @property SeedKind $kind
 * @property ?float $litres of media
 * @property ?string $medium
 * @property ?string $from_system_id one of the keeper's own, for media moved
 * @property ?string $from_stage_id
 * @property ?bool $made_up whether new medium took its place at the donor
 * @property string $donor clean, sick or unknown, as it was asked before
 * @property float $gain_g_d at 20 °C
 * @property float $low_g_d
 * @property float $high_g_d
 * @property ?string $setback_id what the donor lost
 * @property ?System $from
 * @property ?User $user
 */
final class Seed extends Part
{
    public const DONORS = ['clean', 'sick', 'unknown'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'happened_on' => 'date',
            'kind' => SeedKind::class,
            'litres' => 'float',
            'made_up' => 'boolean',
            'gain_g_d' => 'float',
            'low_g_d' => 'float',
            'high_g_d' => 'float',
        ];
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<System, $this> */
    public function from(): BelongsTo
    {
        return $this->belongsTo(System::class, 'from_system_id');
    }

    /** What was done, in a line. */
    public function text(): string
    {
        return $this->kind->name() .
            ($this->litres === null ? '' : ', ' . Format::number($this->litres, 3) . ' L') .
            ($this->from === null ? '' : ", from {$this->from->name}");
    }
}
