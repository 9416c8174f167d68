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
use Ironwort\Core\Words\Message;

/**
 * How far the level must drop to push a flow through a gravity line.
 *
 *     flow_l_h 10000, bore_mm 103.6, length_m 6, fittings_k 2.1  →  level_drop_mm 18.95, velocity_m_s 0.3295
 *
 * @see Pipe, FrictionFactor for formulas, validity and sources
 */
final readonly class GravityFlowCalculator implements Calculator
{
    /** Under this droppings settle in the pipe, m/s. */
    public const SETTLES_BELOW = 0.3;

    public function name(): string
    {
        return 'flow.gravity';
    }

    public function title(): string
    {
        return 'Level drop along a gravity line';
    }

    public function inputs(): array
    {
        return [
            PipeInputs::flow(),
            ...PipeInputs::line(),
            ...PipeInputs::wallAndWater(),
            Input::number('freeboard_mm', 'Level that may be lost', 'mm', 0, 5000)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('velocity_m_s', 'm/s'),
            new Output('reynolds'),
            new Output('friction_factor'),
            new Output('level_drop_mm', 'mm'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $flow = PipeInputs::m3s($given->number('flow_l_h'));
        $pipe = PipeInputs::pipe($given);
        $velocity = $pipe->velocity($flow);
        $reynolds = $pipe->reynolds($flow);
        $friction = (float) $pipe->frictionFactor($flow);
        $drop = 1000 * $pipe->headLoss($flow);

        $work = new Working();
        $work->step(
            'How fast the water goes.',
            'v = flow / (π/4 × bore²)',
            Format::number($given->number('flow_l_h')) . ' L/h, ' . Format::number($given->number('bore_mm')) . ' mm',
            Format::number($velocity) . ' m/s',
        );
        $work->step(
            'Smooth or tumbling flow.',
            'Re = v × bore / ν',
            'ν = ' . Format::number(WaterProperties::kinematicViscosity($given->number('temp_c')), 4) . ' m²/s',
            Format::number($reynolds),
        );
        $work->step(
            'Friction along the wall.',
            match (true) {
                $reynolds <= FrictionFactor::LAMINAR_BELOW => 'f = 64/Re',
                $reynolds < FrictionFactor::TURBULENT_ABOVE => 'f between 64/Re and Colebrook',
                default => '1/√f = −2 log(ε/3.7D + 2.51/(Re √f))',
            },
            'Re = ' . Format::number($reynolds) . ', ε/D = ' . Format::number($pipe->roughnessM / $pipe->boreM),
            Format::number($friction),
        );
        $work->step(
            'Level lost over pipe and fittings.',
            'h = (f L/D + ΣK) v²/2g',
            'f L/D = ' .
                Format::number(($friction * $pipe->lengthM) / $pipe->boreM) .
                ', ΣK = ' .
                Format::number($pipe->fittingsK),
            Format::number($drop) . ' mm',
        );
        $work->cite('darcy-weisbach', 'colebrook-1939', 'water-viscosity');
        if ($velocity < self::SETTLES_BELOW) {
            $work->watch(Message::of('flow.gravity_slower_droppings_settle_pipe'));
            $work->cite('cp-pipe-velocity');
        }
        $allowed = $given->numberOrNull('freeboard_mm');
        if ($allowed !== null && $drop > $allowed) {
            $work->danger(Message::of('flow.gravity_level_drops_mm_pump', ['allowed' => Format::number($allowed)]));
        }

        return $work->result([
            'velocity_m_s' => $velocity,
            'reynolds' => $reynolds,
            'friction_factor' => $friction,
            'level_drop_mm' => $drop,
        ]);
    }
}
