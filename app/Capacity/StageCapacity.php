<?php

declare(strict_types=1);

namespace App\Capacity;

use App\Models\Stage;
use Ironwort\Core\Calc\FigureRow;
use Ironwort\Core\Filter\StageKind;

/** What one stage of a filter can take, by what limits it, and what comes of the water while it is off. */
final readonly class StageCapacity
{
    /**
     * @param  FigureRow  $row  of the stages that `filter.capacity` answers
     * @param  ?FigureRow  $off  of the stages off that `filter.balance` answers
     * @param  float  $share  of its limit that is asked of it, 0 to 1 and above
     */
    public function __construct(
        public Stage $stage,
        public StageKind $kind,
        private FigureRow $row,
        private ?FigureRow $off,
        public float $share,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->stage->id,
            'name' => $this->stage->name,
            'kind' => $this->kind->name,
            'nitrifies' => $this->kind->nitrifies(),
            'area_m2' => $this->row->number('area_m2'),
            'area_rate_g_m2_d' => $this->row->number('area_rate_g_m2_d'),
            'surface_limit_g_d' => $this->row->number('surface_limit_g_d'),
            'oxygen_limit_g_d' => $this->row->numberOrNull('oxygen_limit_g_d') ?? 0.0,
            'transport_limit_g_d' => $this->row->number('transport_limit_g_d'),
            'capacity_g_d' => $this->row->number('capacity_g_d'),
            'do_out_mg_l' => $this->row->number('do_out_mg_l'),
            'limiting' => $this->row->text('limiting'),
            'off' =>
                $this->off === null
                    ? null
                    : [
                        'tan_mg_l' => $this->off->numberOrNull('tan_mg_l'),
                        'no2_n_mg_l' => $this->off->numberOrNull('no2_n_mg_l'),
                        'spare_pct' => $this->off->numberOrNull('spare_pct'),
                    ],
            'share' => $this->share,
        ];
    }
}
