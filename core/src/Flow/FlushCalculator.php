<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Numeric\Root;

/**
 * What a waste takes while its valve is open: litres a second, and in all, or how long so many litres take.
 *
 *     bore_mm 103.6, head_m 0.9, length_m 3, fittings_k 2.5, seconds 5  →  flow_l_s 20.7, litres 103
 *
 * The level is taken to stand still meanwhile, so a long flush takes a little less than this says.
 *
 * @source darcy-weisbach @source colebrook-1939
 */
final readonly class FlushCalculator implements Calculator
{
    public function name(): string
    {
        return 'service.flush';
    }

    public function title(): string
    {
        return 'What a flush takes';
    }

    public function inputs(): array
    {
        return [
            Input::number('head_m', 'Waste falls by', 'm', 0.01, 20),
            ...PipeInputs::line(),
            Input::number('seconds', 'Open for', 's', 0.1, 86400)->optional(),
            Input::number('for_l', 'To let out', 'L', 0.1, 1e6)->optional(),
            ...PipeInputs::wallAndWater(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('flow_l_s', 'L/s'),
            new Output('velocity_m_s', 'm/s'),
            new Output('litres', 'L'),
            new Output('seconds_needed', 's'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $pipe = PipeInputs::pipe($given);
        $head = $given->number('head_m');
        $spare = static fn(float $flow): float => $head - $pipe->headLoss($flow);
        // Without a pipe it would fall as a stone does; what holds it back little lets through more than that.
        $free = (M_PI / 4) * $pipe->boreM ** 2 * sqrt(2 * WaterProperties::GRAVITY * $head);
        $most = Root::bracket($spare, $free, 1e6 * $free);
        if ($most === null) {
            throw BadInput::at('fittings_k', 'Something must hold the water back: entry and exit are K 1.5.');
        }
        $flow = Root::between($spare, 0.0, $most, 1e-9);
        $perSecond = 1000 * $flow;
        $seconds = $given->numberOrNull('seconds');
        $litres = $given->numberOrNull('for_l');
        $work = new Working();
        $work->step(
            'The flow at which pipe and fittings lose the whole fall.',
            '(f L/D + ΣK) v²/2g = fall',
            'fall ' .
                Format::number($head) .
                ' m, ' .
                Format::number($given->number('bore_mm')) .
                ' mm, ' .
                Format::number($pipe->lengthM) .
                ' m, ΣK ' .
                Format::number($pipe->fittingsK),
            Format::number($perSecond, 3) . ' L/s',
        );
        if ($seconds !== null) {
            $work->step(
                'What it takes while it is open.',
                'flow × time',
                Format::number($perSecond, 3) . ' L/s × ' . Format::number($seconds) . ' s',
                Format::number($perSecond * $seconds, 3) . ' L',
            );
        }
        if ($litres !== null) {
            $work->step(
                'How long that takes.',
                'litres / flow',
                Format::number($litres) . ' L / ' . Format::number($perSecond, 3) . ' L/s',
                Format::number($litres / $perSecond, 3) . ' s',
            );
        }
        $work->cite('darcy-weisbach', 'colebrook-1939', 'water-viscosity');

        return $work->result([
            'flow_l_s' => $perSecond,
            'velocity_m_s' => $pipe->velocity($flow),
            'litres' => $seconds === null ? null : $perSecond * $seconds,
            'seconds_needed' => $litres === null ? null : $litres / $perSecond,
        ]);
    }
}
