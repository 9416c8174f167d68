<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What a filter really takes, from a run of ammonia readings under a known load.
 *
 * What the fish gave, less what stayed in the water and what changes carried off, is what the loop took. The
 * rise is the slope of a least-squares line through the middles of the readings; its band is two standard
 * errors of that slope. Walls and stones are in it. Readings are intervals, as a kit gives them.
 *
 *     volume_l 10000, load_g_d 30, readings [{"day": 0, "low_mg_l": 0.2, "high_mg_l": 0.3}, {"day": 7, "low_mg_l":
 *       0.2, "high_mg_l": 0.3}, {"day": 14, "low_mg_l": 0.2, "high_mg_l": 0.3}, {"day": 21, "low_mg_l": 0.2,
 *       "high_mg_l": 0.3}]  →  removal_g_d 30, tan_mg_l 0.25
 */
final readonly class FromReadingsCalculator implements Calculator
{
    private const LEAST_READINGS = 4;

    private const LEAST_DAYS = 7.0;

    public function name(): string
    {
        return 'filter.from_readings';
    }

    public function title(): string
    {
        return 'What a filter takes, from a run of readings';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('load_g_d', 'Ammonia the fish give', 'g N/d', 0, 1e6),
            Input::number('change_l_d', 'Water changed', 'L/d', 0, 1e8)->or(0.0),
            Input::number('source_tan_mg_l', 'Ammonia in new water', 'mg/L as N', 0, 10)->or(0.0),
            Input::rows(
                'readings',
                'Readings of ammonia',
                [
                    Input::number('day', 'Day', 'd', 0, 3650),
                    Input::number('low_mg_l', 'At least', 'mg/L as N', 0, 1000),
                    Input::number('high_mg_l', 'At most', 'mg/L as N', 0, 1000),
                ],
                self::LEAST_READINGS,
                2000,
            ),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('removal_g_d', 'g N/d'),
            new Output('low_g_d', 'g N/d'),
            new Output('high_g_d', 'g N/d'),
            new Output('tan_mg_l', 'mg/L as N'),
            new Output('tan_low_mg_l', 'mg/L as N'),
            new Output('tan_high_mg_l', 'mg/L as N'),
            new Output('rise_mg_l_d', 'mg/L'),
            new Output('days', 'd'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $days = $lows = $highs = $middles = [];
        foreach ($given->rows('readings') as $i => $row) {
            if ($row->number('high_mg_l') < $row->number('low_mg_l')) {
                throw BadInput::at("readings.{$i}.high_mg_l", 'It cannot be less than the least.');
            }
            $days[] = $row->number('day');
            $lows[] = $row->number('low_mg_l');
            $highs[] = $row->number('high_mg_l');
            $middles[] = ($row->number('low_mg_l') + $row->number('high_mg_l')) / 2;
        }
        $span = $days === [] ? 0.0 : max($days) - min($days);
        if ($span < self::LEAST_DAYS || $middles === []) {
            throw BadInput::at(
                'readings',
                'They must lie over a week at least; these cover ' . Format::number($span, 2) . ' days.',
            );
        }
        [$slope, $error] = self::slope($days, $middles);
        $mean = static fn(array $values): float => array_sum($values) / count($values);
        $litres = $given->number('volume_l');
        $load = $given->number('load_g_d');
        $changed = $given->number('change_l_d') / 1000;
        $out = static fn(float $tan): float => $changed * ($tan - $given->number('source_tan_mg_l'));
        $removal = static fn(float $rise, float $tan): float => $load - ($litres / 1000) * $rise - $out($tan);
        $middle = $removal($slope, $mean($middles));

        $work = new Working();
        $work->step(
            'How ammonia rose over the run.',
            'slope of the least-squares line',
            count($days) . ' readings over ' . Format::number($span, 2) . ' days',
            Format::number($slope, 2) . ' ± ' . Format::number(2 * $error, 2) . ' mg/L a day',
        );
        $work->step(
            'Carried off by changes.',
            'change × (TAN − new water)',
            Format::number($changed) .
                ' m³/d × (' .
                Format::number($mean($middles)) .
                ' − ' .
                Format::number($given->number('source_tan_mg_l')) .
                ') mg/L',
            Format::number($out($mean($middles))) . ' g N/d',
        );
        $work->step(
            'What is left was taken by the filter, walls and stones with it.',
            'load − volume × rise − changes',
            Format::number($load) .
                ' − ' .
                Format::number($litres / 1000) .
                ' m³ × ' .
                Format::number($slope, 2) .
                ' − ' .
                Format::number($out($mean($middles))),
            Format::number($middle) . ' g N/d',
        );
        $work->cite('mass-balance');
        if ($mean($lows) <= 0) {
            $work->note(
                Message::of('filter.from_readings_kit_cannot_tell_ammonia', [
                    'highs' => Format::number($mean($highs), 2),
                ]),
            );
        }
        if ($middle < 0) {
            $work->watch(Message::of('filter.from_readings_ammonia_rose_faster_load'));
        }

        return $work->result([
            'removal_g_d' => $middle,
            'low_g_d' => $removal($slope + 2 * $error, $mean($highs)),
            'high_g_d' => $removal($slope - 2 * $error, $mean($lows)),
            'tan_mg_l' => $mean($middles),
            'tan_low_mg_l' => $mean($lows),
            'tan_high_mg_l' => $mean($highs),
            'rise_mg_l_d' => $slope,
            'days' => $span,
        ]);
    }

    /**
     * @param  non-empty-list<float>  $x
     * @param  non-empty-list<float>  $y
     * @return array{float, float} slope and its standard error
     */
    private static function slope(array $x, array $y): array
    {
        $n = count($x);
        $meanX = array_sum($x) / $n;
        $meanY = array_sum($y) / $n;
        $xx = $xy = $left = 0.0;
        foreach ($x as $i => $at) {
            $xx += ($at - $meanX) ** 2;
            $xy += ($at - $meanX) * ($y[$i] - $meanY);
        }
        $slope = $xy / $xx;
        foreach ($x as $i => $at) {
            $left += ($y[$i] - $meanY - $slope * ($at - $meanX)) ** 2;
        }

        return [$slope, sqrt($left / ($n - 2) / $xx)];
    }
}
