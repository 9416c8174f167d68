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
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Water that an airlift raises for its air, by slug flow in the riser.
 *
 * The column of water and bubbles in the riser (submergence + lift) weighs as much as the still water
 * beside it (submergence), less friction. The share of gas follows from its speed: bubbles rise at
 * 1.2 times the speed of the mixture and 0.35 √(gD) on top of that. Air is taken at the mean pressure
 * in the riser. Valid for slug flow, risers of about 20 to 150 mm; optimistic for wide risers and fine bubbles.
 *
 *     air_l_min 20, submergence_m 0.7, lift_m 0.05, bore_mm 50  →  flow_l_h 4880
 *
 * @source nicklin-1963
 */
final readonly class AirliftCalculator implements Calculator
{
    public function name(): string
    {
        return 'flow.airlift';
    }

    public function title(): string
    {
        return 'Flow of an airlift';
    }

    public function inputs(): array
    {
        return [
            Input::number('air_l_min', 'Air, measured free', 'L/min', 0.1, 5000),
            Input::number('submergence_m', 'Depth of the air inlet', 'm', 0.05, 20),
            Input::number('lift_m', 'Lift above the water', 'm', 0, 5),
            Input::number('bore_mm', 'Bore of the riser', 'mm', 8, 300),
            Input::number('roughness_mm', 'Roughness of the wall', 'mm', 0, 5)->or(0.0015),
            Input::number('losses_k', 'Lost at its ends, as ΣK', null, 0, 20)->or(Airlift::LOSSES_K),
            WaterInputs::temperature()->or(20.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('flow_l_h', 'L/h'),
            new Output('gas_share_pct', '%'),
            new Output('submergence_pct', '%'),
            new Output('litres_per_litre_of_air'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $depth = $given->number('submergence_m');
        $riser = $depth + $given->number('lift_m');
        $lift = new Airlift(
            $given->number('air_l_min') / 60000,
            $depth,
            $given->number('bore_mm') / 1000,
            $given->number('roughness_mm') / 1000,
            $given->number('temp_c'),
            $given->number('losses_k'),
        );
        $waterSpeed = $lift->waterSpeed($given->number('lift_m'));
        $flow = PipeInputs::litresPerHour($waterSpeed * $lift->area);
        $perAir = $flow / ($given->number('air_l_min') * 60);

        $work = new Working();
        $work->step(
            'Air as it is squeezed in the riser.',
            'air × 10.33 / (10.33 + depth/2)',
            Format::number($given->number('air_l_min')) . ' L/min, ' . Format::number($depth) . ' m',
            Format::number($lift->airInRiser * 60000) . ' L/min',
        );
        $work->step(
            'The share of the riser that is air.',
            'ε = vg / (1.2 (vg + vw) + 0.35 √(gD))',
            'vg ' . Format::number($lift->airSpeed) . ' m/s, vw ' . Format::number($waterSpeed) . ' m/s',
            Format::number(100 * $lift->gasShare($waterSpeed), 3) . ' %',
        );
        $work->step(
            'The flow at which both columns weigh the same.',
            '(depth − ΣK vw²/2g)/(depth + lift) = (1 − ε)(1 + friction)',
            Format::number($depth) .
                ' / ' .
                Format::number($riser) .
                ' m, ΣK ' .
                Format::number($given->number('losses_k')),
            Format::number($flow, 3) . ' L/h',
        );
        $work->cite('nicklin-1963', 'colebrook-1939');
        $work->note(Message::of('flow.airlift_correlation_nicklin_slug_flow'));
        if ($waterSpeed <= 0) {
            $work->watch(Message::of('flow.airlift_little_air_high_lift'));
        }

        return $work->result([
            'flow_l_h' => $flow,
            'gas_share_pct' => 100 * $lift->gasShare($waterSpeed),
            'submergence_pct' => (100 * $depth) / $riser,
            'litres_per_litre_of_air' => $perAir,
        ]);
    }
}
