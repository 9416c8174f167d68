<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * One filter stage, in flow order by position.
 *
 * @property string $name
 * @property string $kind
 * @property ?string $medium
 * @property ?float $area_m2_m3
 * @property float $media_l
 * @property bool $flow_of_loop its flow is what the loop gives it
 * @property float $flow_l_h
 * @property ?string $branch
 * @property float $air_l_min
 * @property ?float $maturity_pct as the keeper judges it; null where the load of the last weeks tells
 * @property ?float $fouling_pct as the keeper saw it; null where the last service tells
 * @property ?Carbon $cleaned_on
 * @property ?Carbon $fouling_seen_on
 * @property float $loss_mm
 * @property ?float $rim_mm
 * @property ?float $may_drop_mm
 * @property ?float $lamp_w
 * @property ?Carbon $lamp_fitted_on
 * @property string $lamp_state on, off or alternate
 * @property ?Carbon $sleeve_wiped_on
 * @property ?string $vessel_id the vessel it stands in
 * @property ?string $chamber_id the stage in whose chamber it lies, as a layer
 * @property bool $under_pressure closed: it has a pressure and no level
 * @property ?float $may_press_m metres of water it is made for
 * @property ?float $cost
 * @property ?string $fed gravity, pumped or by air
 * @property ?Carbon $since
 * @property bool $bypassable
 * @property bool $bypassed
 * @property ?float $water_l
 * @property ?float $plan_m2
 * @property ?Carbon $retired_at
 * @property int $position
 */
final class Stage extends Part
{
    public const FED = ['gravity', 'pumped', 'air'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'area_m2_m3' => 'float',
            'media_l' => 'float',
            'flow_l_h' => 'float',
            'air_l_min' => 'float',
            'maturity_pct' => 'float',
            'fouling_pct' => 'float',
            'loss_mm' => 'float',
            'rim_mm' => 'float',
            'may_drop_mm' => 'float',
            'lamp_w' => 'float',
            'lamp_fitted_on' => 'date',
            'sleeve_wiped_on' => 'date',
            'since' => 'date',
            'cleaned_on' => 'date',
            'fouling_seen_on' => 'date',
            'flow_of_loop' => 'boolean',
            'bypassable' => 'boolean',
            'bypassed' => 'boolean',
            'water_l' => 'float',
            'plan_m2' => 'float',
            'under_pressure' => 'boolean',
            'may_press_m' => 'float',
            'cost' => 'float',
            'retired_at' => 'datetime',
        ];
    }

    /** @return array<string, mixed> one row of the stages of `filter.capacity` */
    public function calculation(): array
    {
        return array_filter(
            [
                'kind' => $this->kind,
                'medium' => $this->medium,
                'area_m2_m3' => $this->area_m2_m3,
                'media_l' => $this->media_l,
                'flow_l_h' => $this->bypassed ? 0.0 : $this->flow_l_h,
                'branch' => $this->branch,
                'air_l_min' => $this->air_l_min,
                'maturity_pct' => $this->maturity_pct,
                'fouling_pct' => $this->fouling_pct,
            ],
            static fn(mixed $value): bool => $value !== null,
        );
    }
}
