<?php

declare(strict_types=1);

namespace App\Models;

use Ironwort\Core\Loop\Place;

/**
 * A line of pipe from one part of the loop to another, or out of it.
 *
 * @property string $name
 * @property ?string $from_vessel_id
 * @property ?string $from_stage_id
 * @property ?string $from_pump_id
 * @property ?string $from_junction_id
 * @property ?string $to_vessel_id
 * @property ?string $to_stage_id
 * @property ?string $to_pump_id
 * @property ?string $to_junction_id
 * @property float $bore_mm
 * @property float $length_m
 * @property array<string, int> $fittings
 * @property ?float $valve_open_pct
 * @property bool $check_valve
 * @property float $ends_above_mm
 * @property bool $guarded
 * @property ?string $outlet how a return meets the water
 * @property ?string $intake what kind of mouth it has in its vessel
 * @property bool $within_reach
 * @property ?string $spot where in the vessel it opens
 * @property ?string $aim which way a return blows
 * @property ?string $leads_to where waste goes
 * @property ?float $fall_mm how far a waste falls below the water
 * @property ?float $mouth_mm how deep its mouth lies under still water
 * @property ?string $three_way_id the line it shares a three-way valve with
 * @property ?float $cost
 * @property int $position
 */
final class Line extends Part
{
    public const INTAKES = ['bottom_drain', 'skimmer', 'high_sponge', 'floor_pump', 'wall', 'overflow'];

    public const SPOTS = ['one_end', 'middle', 'far_end'];

    public const AIMS = ['along', 'across'];

    public const WASTES = ['sewer', 'soakaway', 'garden', 'tank'];

    public const OUTLETS = ['pipe', 'jet', 'waterfall', 'spray_bar', 'venturi'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'cost' => 'float',
            'fittings' => 'array',
            'bore_mm' => 'float',
            'length_m' => 'float',
            'valve_open_pct' => 'float',
            'check_valve' => 'boolean',
            'guarded' => 'boolean',
            'within_reach' => 'boolean',
            'ends_above_mm' => 'float',
            'fall_mm' => 'float',
            'mouth_mm' => 'float',
        ];
    }

    /**
     * Whether it has a valve that is open or shut for long: one with three ways only shares, and one to waste is opened
     * for a flush, which is booked as that.
     */
    public function shuts(): bool
    {
        return $this->valve_open_pct !== null && $this->three_way_id === null && ($this->leads_to ?? '') === '';
    }

    /** Of its valve, as a pump has it: on is open, off is shut. */
    public function valveState(): string
    {
        return $this->valve_open_pct === 0.0 ? 'off' : 'on';
    }

    /** @return array{id: string, from: Place, to: Place, open: bool} as `Joints` takes it */
    public function joint(): array
    {
        return [
            'id' => $this->id,
            'from' => $this->from(),
            'to' => $this->to(),
            'open' => $this->valve_open_pct !== 0.0,
        ];
    }

    /** Whether it begins or ends at a part. */
    public function joins(string $part): bool
    {
        return $this->from()->id === $part || $this->to()->id === $part;
    }

    public function from(): Place
    {
        return self::place($this->from_vessel_id, $this->from_stage_id, $this->from_pump_id, $this->from_junction_id);
    }

    public function to(): Place
    {
        return self::place($this->to_vessel_id, $this->to_stage_id, $this->to_pump_id, $this->to_junction_id);
    }

    private static function place(?string $vessel, ?string $stage, ?string $pump, ?string $junction): Place
    {
        return match (true) {
            $vessel !== null => Place::vessel($vessel),
            $stage !== null => Place::stage($stage),
            $pump !== null => Place::pump($pump),
            $junction !== null => Place::junction($junction),
            default => Place::outside(),
        };
    }
}
