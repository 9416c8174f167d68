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
 * How a flow shares out among branches that start and end together: each takes what loses the same head.
 *
 *     flow_l_h 8000, branches [{"bore_mm": 50, "length_m": 4, "fittings_k": 2}, {"bore_mm": 50, "length_m": 6,
 *       "fittings_k": 3}]  →  head_m 0.0782
 *
 * @see Pipe, Valve for formulas, validity and sources
 */
final readonly class SplitCalculator implements Calculator
{
    public function name(): string
    {
        return 'flow.split';
    }

    public function title(): string
    {
        return 'Flow among parallel branches';
    }

    public function inputs(): array
    {
        return [
            PipeInputs::flow(),
            Input::rows(
                'branches',
                'Branches',
                [...PipeInputs::line(), Input::number('valve_open_pct', 'Valve', '%', 0, 100)->or(100.0)],
                2,
                20,
            ),
            ...PipeInputs::wallAndWater(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('branches'), new Output('head_m', 'm')];
    }

    public function calculate(Given $given): Result
    {
        $total = PipeInputs::m3s($given->number('flow_l_h'));
        $pipes = [];
        foreach ($given->rows('branches') as $branch) {
            $valve = Valve::k($branch->number('valve_open_pct'));
            $pipes[] = $valve === null ? null : PipeInputs::pipe($branch, $given, $valve);
        }
        $open = array_filter($pipes);
        if ($open === []) {
            throw BadInput::at('branches', 'Every branch is shut: the water has nowhere to go.');
        }
        $most = max(array_map(static fn(Pipe $pipe): float => $pipe->headLoss($total), $open));
        $through = static fn(?Pipe $pipe, float $head): float => $pipe === null || $pipe->headLoss($total) <= 0
            ? 0.0
            : Root::between(
                static fn(float $flow): float => $pipe->headLoss($flow) - $head,
                0.0,
                self::enough($pipe, $head, $total),
                1e-13,
            );
        $head = Root::between(
            static fn(float $head): float => array_sum(
                array_map(static fn(Pipe $pipe): float => $through($pipe, $head), $open),
            ) - $total,
            0.0,
            // With one branch open the answer stands at this very end.
            (1 + 1e-6) * $most,
            1e-12 * max(1.0, $most),
        );
        $flows = array_map(static fn(?Pipe $pipe): float => $through($pipe, $head), $pipes);

        $work = new Working();
        $work->step(
            'All branches lose the same head from where they part to where they meet.',
            'Σ flow(h) = total',
            Format::number($given->number('flow_l_h')) . ' L/h over ' . count($open) . ' open branches',
            Format::number(1000 * $head) . ' mm',
        );
        foreach ($flows as $i => $flow) {
            $work->step(
                'Branch ' . ($i + 1) . '.',
                '(f L/D + ΣK + K valve) v²/2g = h',
                $pipes[$i] === null ? 'shut' : 'ΣK with its valve ' . Format::number($pipes[$i]->fittingsK),
                Format::number(PipeInputs::litresPerHour($flow)) .
                    ' L/h, ' .
                    Format::number((100 * $flow) / $total, 3) .
                    ' %',
            );
        }
        $work->cite('darcy-weisbach', 'colebrook-1939', 'weisbach-cock');

        return $work->result([
            'branches' => array_map(
                static fn(float $flow, ?Pipe $pipe): array => [
                    'flow_l_h' => PipeInputs::litresPerHour($flow),
                    'share_pct' => (100 * $flow) / $total,
                    'velocity_m_s' => $pipe?->velocity($flow) ?? 0.0,
                ],
                $flows,
                $pipes,
            ),
            'head_m' => $head,
        ]);
    }

    /** A flow that surely loses more than this head. */
    private static function enough(Pipe $pipe, float $head, float $flow): float
    {
        while ($pipe->headLoss($flow) < $head) {
            $flow *= 2;
        }

        return $flow;
    }
}
