<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Ironwort\Core\Flow\Airlift;
use Ironwort\Core\Flow\PipeInputs;
use Ironwort\Core\Flow\PumpCurve;

/**
 * A pump of the loop, a circulator in a vessel, or an air pump.
 *
 * @property string $name
 * @property string $kind
 * @property ?list<array{flow_l_h: float, head_m: float}> $curve of a water pump
 * @property ?float $rated_l_h of a circulator
 * @property ?float $air_l_min of an air pump or an airlift
 * @property ?string $vessel_id the vessel it stands in
 * @property ?float $submergence_m of an airlift's air inlet
 * @property ?float $lift_m of an airlift above the water
 * @property ?float $above_mm how high a dry pump stands above the water it draws from
 * @property ?float $riser_mm bore of an airlift
 * @property ?string $diffuser of an air pump: stone or fine
 * @property ?float $depth_m of its air
 * @property ?Carbon $retired_at
 * @property float $power_w
 * @property ?string $circuit
 * @property bool $running whether it gives anything now: on, or on alternate days
 * @property string $state on, off, alternate or lent
 * @property ?string $lent_to_id the system it stands in for now, where it is lent to one
 * @property ?System $lentTo
 * @property bool $by_day driven by the sun: it stops at night
 * @property bool $at_surface a circulator set to break the surface
 * @property ?string $spot where in its vessel a circulator stands
 * @property ?string $aim which way it blows
 * @property ?bool $guarded whether fish are kept off it; null where nobody said
 * @property ?float $cost
 * @property int $position
 */
final class Pump extends Part
{
    public const KINDS = ['water', 'circulator', 'air', 'airlift', 'heater'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'cost' => 'float',
            'curve' => 'array',
            'rated_l_h' => 'float',
            'air_l_min' => 'float',
            'power_w' => 'float',
            'running' => 'boolean',
            'by_day' => 'boolean',
            'at_surface' => 'boolean',
            'guarded' => 'boolean',
            'submergence_m' => 'float',
            'lift_m' => 'float',
            'above_mm' => 'float',
            'riser_mm' => 'float',
            'retired_at' => 'datetime',
            'depth_m' => 'float',
        ];
    }

    /** @return BelongsTo<System, $this> */
    public function lentTo(): BelongsTo
    {
        return $this->belongsTo(System::class, 'lent_to_id');
    }

    /** Whether it gives anything to a system: its own while it runs, another's while it is lent to that. */
    public function runsFor(System $system): bool
    {
        return $this->lent_to_id === $system->id || ($this->running && $this->system_id === $system->id);
    }

    /** Whether it moves water round the loop. */
    public function circulates(): bool
    {
        return $this->kind === 'water' || $this->kind === 'airlift';
    }

    public function curve(float $tempC): PumpCurve
    {
        return $this->kind === 'airlift'
            ? (new Airlift(
                (float) $this->air_l_min / 60000,
                (float) $this->submergence_m,
                (float) $this->riser_mm / 1000,
                tempC: $tempC,
            ))->curve()
            : new PumpCurve(
                array_map(PipeInputs::m3s(...), array_column($this->curve ?? [], 'flow_l_h')),
                array_map(floatval(...), array_column($this->curve ?? [], 'head_m')),
            );
    }
}
