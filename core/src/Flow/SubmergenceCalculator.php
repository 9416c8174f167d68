<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * How deep the mouth of a suction must lie under the water so that it draws no air.
 *
 *     flow_l_h 10000, bore_mm 51.4  →  submergence_m 0.274
 *
 * @source hydraulic-institute-9-8
 */
final readonly class SubmergenceCalculator implements Calculator
{
    public function name(): string
    {
        return 'flow.submergence';
    }

    public function title(): string
    {
        return 'Water a suction needs above it';
    }

    public function inputs(): array
    {
        return [PipeInputs::flow(), Input::number('bore_mm', 'Bore of its mouth', 'mm', 4, 1000)];
    }

    public function outputs(): array
    {
        return [new Output('velocity_m_s', 'm/s'), new Output('submergence_m', 'm')];
    }

    /** @param  float  $flow  m³/s */
    public static function metres(float $flow, float $boreM): float
    {
        $velocity = abs($flow) / ((M_PI / 4) * $boreM ** 2);

        return $boreM * (1 + (2.3 * $velocity) / sqrt(WaterProperties::GRAVITY * $boreM));
    }

    public function calculate(Given $given): Result
    {
        $bore = $given->number('bore_mm') / 1000;
        $flow = PipeInputs::m3s($given->number('flow_l_h'));
        $velocity = $flow / ((M_PI / 4) * $bore ** 2);
        $needs = self::metres($flow, $bore);
        $work = new Working();
        $work->step(
            'How fast the water goes into the mouth.',
            'v = flow / (π/4 × bore²)',
            Format::number($given->number('flow_l_h')) . ' L/h, ' . Format::number($given->number('bore_mm')) . ' mm',
            Format::number($velocity) . ' m/s',
        );
        $work->step(
            'Water above it, so that no whirl draws air in.',
            'S = D (1 + 2.3 v/√(g D))',
            'D ' . Format::number($bore, 4) . ' m, v ' . Format::number($velocity) . ' m/s',
            Format::number($needs, 3) . ' m',
        );
        $work->cite('hydraulic-institute-9-8');

        return $work->result(['velocity_m_s' => $velocity, 'submergence_m' => $needs]);
    }
}
