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
use Ironwort\Core\Words\Message;

/**
 * Where a pump's curve meets what the pipework asks, and what that costs.
 *
 *     curve [{"flow_l_h": 0, "head_m": 5}, {"flow_l_h": 12000, "head_m": 1}], static_head_m 0.5, bore_mm 50, length_m
 *       8, fittings_k 6  →  flow_l_h 10460, head_m 1.514
 *
 * @see PumpCurve, Pipe for formulas, validity and sources
 */
final readonly class PumpDutyCalculator implements Calculator
{
    public function name(): string
    {
        return 'flow.pump';
    }

    public function title(): string
    {
        return 'Duty point of a pump';
    }

    public function inputs(): array
    {
        return [
            Input::rows(
                'curve',
                'Curve',
                [Input::number('flow_l_h', 'Flow', 'L/h', 0, 1e7), Input::number('head_m', 'Head', 'm', 0, 200)],
                2,
                30,
            ),
            Input::number('static_head_m', 'Lift from level to level', 'm', -10, 200),
            ...PipeInputs::line(),
            ...PipeInputs::wallAndWater(),
            Input::number('power_w', 'Power', 'W', 0, 1e6)->optional(),
            Input::number('price_per_kwh', 'Price of a kWh', null, 0, 100)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('flow_l_h', 'L/h'),
            new Output('head_m', 'm'),
            new Output('friction_head_m', 'm'),
            new Output('power_w', 'W'),
            new Output('kwh_d', 'kWh/d'),
            new Output('cost_d'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $curve = self::curve($given->rows('curve'));
        $static = $given->number('static_head_m');
        $pipe = PipeInputs::pipe($given);
        if ($curve->shutOffHead() <= $static) {
            throw BadInput::at(
                'static_head_m',
                'The pump cannot lift that high: against a shut valve it reaches ' .
                    Format::number($curve->shutOffHead()) .
                    ' m.',
            );
        }
        $spare = static fn(float $flow): float => $curve->head($flow) - $static - $pipe->headLoss($flow);
        $offTheEnd = $spare($curve->greatestFlow()) > 0;
        $flow = $offTheEnd ? $curve->greatestFlow() : Root::between($spare, 0.0, $curve->greatestFlow(), 1e-12);
        $head = $curve->head($flow);
        $power = $given->numberOrNull('power_w');
        $price = $given->numberOrNull('price_per_kwh');

        $work = new Working();
        $work->step(
            'What the pipework asks at a flow.',
            'H = lift + (f L/D + ΣK) v²/2g',
            'lift ' .
                Format::number($static) .
                ' m, bore ' .
                Format::number($given->number('bore_mm')) .
                ' mm, length ' .
                Format::number($pipe->lengthM) .
                ' m, ΣK ' .
                Format::number($pipe->fittingsK),
            Format::number($static + $pipe->headLoss($flow)) . ' m at the duty point',
        );
        $work->step(
            'What the pump gives, by its curve.',
            'monotone cubic through the points',
            count($given->rows('curve')) . ' points',
            Format::number($head) . ' m',
        );
        $work->step(
            'Where the two meet.',
            'pump head = lift + losses',
            Format::number($head) . ' m',
            Format::number(PipeInputs::litresPerHour($flow), 5) . ' L/h',
        );
        if ($power !== null) {
            $work->step(
                'Current used in a day.',
                'power × 24 h / 1000',
                Format::number($power) . ' W',
                Format::number($power * 0.024) . ' kWh',
            );
        }
        if ($offTheEnd) {
            $work->watch(Message::of('flow.pump_duty_pipework_asks_little_pump'));
        }
        $work->cite('fritsch-carlson-1980', 'darcy-weisbach', 'colebrook-1939');

        return $work->result([
            'flow_l_h' => PipeInputs::litresPerHour($flow),
            'head_m' => $head,
            'friction_head_m' => $pipe->headLoss($flow),
            'power_w' => $power,
            'kwh_d' => $power === null ? null : $power * 0.024,
            'cost_d' => $power === null || $price === null ? null : $power * 0.024 * $price,
        ]);
    }

    /**
     * @param  list<Given>  $rows
     *
     * @throws BadInput where flow does not rise or head does not fall
     */
    public static function curve(array $rows): PumpCurve
    {
        $flows = $heads = [];
        foreach ($rows as $i => $row) {
            $flow = $row->number('flow_l_h');
            $head = $row->number('head_m');
            if ($i === 0 && $flow > 0) {
                throw BadInput::at('curve.0.flow_l_h', 'The first point is the head against a shut valve, at no flow.');
            }
            if ($i > 0 && PipeInputs::m3s($flow) <= $flows[$i - 1]) {
                throw BadInput::at("curve.{$i}.flow_l_h", 'Flow must rise from point to point.');
            }
            if ($i > 0 && $head >= $heads[$i - 1]) {
                throw BadInput::at("curve.{$i}.head_m", 'Head must fall from point to point.');
            }
            $flows[] = PipeInputs::m3s($flow);
            $heads[] = $head;
        }

        return new PumpCurve($flows, $heads);
    }
}
