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
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * Flows and levels of a whole loop, solved together, and the proof for one part of it.
 *
 * `ask` names a link or a point: its flow and head loss, or its level, are given beside the whole list.
 *
 *     surfaces [{"point": "bay", "head_m": 0}, {"point": "lip", "head_m": 0.2}], links [{"name": "drain", "kind":
 *       "pipe", "from": "bay", "to": "sump", "bore_mm": 100, "length_m": 5, "fittings_k": 2}, {"name": "pump",
 *       "kind": "pump", "from": "sump", "to": "out", "curve": [{"flow_l_h": 0, "head_m": 3}, {"flow_l_h": 9000,
 *       "head_m": 0.5}]}, {"name": "return", "kind": "pipe", "from": "out", "to": "lip", "bore_mm": 50, "length_m":
 *       5, "fittings_k": 4}], ask sump  →  level_mm -14.5
 *
 * @see Network, NetworkRows for method, validity and source
 */
final readonly class NetworkCalculator implements Calculator
{
    public function name(): string
    {
        return 'flow.network';
    }

    public function title(): string
    {
        return 'Flows and levels of a whole loop';
    }

    public function inputs(): array
    {
        return [
            ...NetworkRows::inputs(),
            Input::text('ask', 'Asked for', 100)->optional(),
            WaterInputs::temperature()->or(20.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('flow_l_h', 'L/h'),
            new Output('loss_m', 'm'),
            new Output('level_mm', 'mm'),
            new Output('links'),
            new Output('points'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $links = NetworkRows::links($given);
        $surfaces = NetworkRows::surfaces($given);
        try {
            $flow = (new Network($surfaces, $links, NetworkRows::inflows($given)))->solve();
        } catch (UnsolvableNetwork $unsolvable) {
            throw BadInput::at('links', $unsolvable->getMessage());
        }
        $ask = $given->textOrNull('ask');
        $link = array_values(array_filter($links, static fn(Link $link): bool => $link->id === $ask))[0] ?? null;
        if ($ask !== null && $link === null && !array_key_exists($ask, $flow->heads)) {
            throw BadInput::at('ask', 'No link or point of this name.');
        }

        $work = new Working();
        $work->step(
            'All flows and levels at once: what comes to a point leaves it, and round every loop the heads add up.',
            'Newton on flows and heads together',
            count($links) . ' links, ' . count($surfaces) . ' levels given',
            'settled to 0.004 L/h',
        );
        $loss = null;
        if ($link !== null) {
            $loss = $this->across($work, $link, $flow);
        } elseif ($ask !== null) {
            $this->at($work, $ask, $links, $flow, NetworkRows::inflows($given)[$ask] ?? 0.0);
        }
        $work->cite('todini-pilati-1988', 'darcy-weisbach', 'colebrook-1939');
        $level = $ask === null || $link !== null ? null : $flow->heads[$ask];

        return $work->result([
            'flow_l_h' => $link === null ? null : PipeInputs::litresPerHour($flow->flows[$link->id]),
            'loss_m' => $loss,
            'level_mm' => $level === null ? null : 1000 * $level,
            'links' => array_map(
                static fn(Link $link): array => [
                    'name' => $link->id,
                    'flow_l_h' => PipeInputs::litresPerHour($flow->flows[$link->id]),
                ],
                $links,
            ),
            'points' => array_map(
                static fn(string $point, ?float $head): array => ['point' => $point, 'head_m' => $head],
                array_keys($flow->heads),
                array_values($flow->heads),
            ),
        ]);
    }

    private function across(Working $work, Link $link, NetworkFlow $flow): ?float
    {
        $from = $flow->heads[$link->from] ?? null;
        $to = $flow->heads[$link->to] ?? null;
        if ($from === null || $to === null) {
            $work->note(Message::of('flow.network_cut_off_open_water', ['id' => $link->id]));

            return null;
        }
        $litres = Format::number(PipeInputs::litresPerHour($flow->flows[$link->id]), 5);
        $pump = $link->element instanceof PumpElement;
        $work->step(
            "Level at {$link->from} and at {$link->to}.",
            $pump ? 'what the pump adds' : 'what is lost on the way',
            Format::number($from, 4) . ' m, ' . Format::number($to, 4) . ' m',
            Format::number($pump ? $to - $from : $from - $to, 4) . ' m',
        );
        $work->step(
            $pump ? 'What its curve gives at this flow.' : 'What it loses at this flow.',
            $pump ? 'curve' : 'its own resistance',
            "{$litres} L/h",
            Format::number(abs($link->element->headLoss($flow->flows[$link->id])), 4) . ' m',
        );

        return $from - $to;
    }

    /** @param  list<Link>  $links */
    private function at(Working $work, string $point, array $links, NetworkFlow $flow, float $fallsIn): void
    {
        $in = $fallsIn > 0 ? ['falls in ' . Format::number(PipeInputs::litresPerHour($fallsIn), 5)] : [];
        $out = [];
        foreach ($links as $link) {
            $litres = PipeInputs::litresPerHour($flow->flows[$link->id]) * ($link->to === $point ? 1 : -1);
            if (($link->to !== $point && $link->from !== $point) || abs($litres) < 0.01) {
                continue;
            }
            if ($litres > 0) {
                $in[] = "{$link->id} " . Format::number($litres, 5);
            } else {
                $out[] = "{$link->id} " . Format::number(-$litres, 5);
            }
        }
        $work->step(
            "What comes to {$point} leaves it.",
            'in = out',
            'in: ' . (implode(', ', $in) ?: 'nothing') . '; out: ' . (implode(', ', $out) ?: 'nothing') . ' L/h',
            'level ' .
                ($flow->heads[$point] === null ? 'cut off' : Format::number(1000 * $flow->heads[$point], 4) . ' mm'),
        );
    }
}
