<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Exchange\WaterMix;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * The water of a system day by day: ammonia, nitrite, nitrate, alkalinity and what oxidises them.
 *
 * `events` change the course at an hour of a day: a change of water, ammonia dosed, a seed, a wash or stop
 * that kills part, another feed or temperature from then on.
 *
 *     volume_l 4500, days 45, grown_mg_l_d 20, feed_g_d 60, protein_pct 38, temp_c 23, now {"alkalinity_mg_l":
 *       150}  →  peak_tan_mg_l 6.7, peak_tan_day 18, peak_no2_n_mg_l 13.4, peak_no2_day 32.5
 *
 * @see Run, Water, DormandPrince
 *
 * @source model-calibrated
 */
final readonly class RunCalculator implements Calculator
{
    public function name(): string
    {
        return 'model.run';
    }

    public function title(): string
    {
        return 'The water day by day';
    }

    public function inputs(): array
    {
        return [
            ...Run::inputs(),
            Input::number('days', 'Days', 'd', 0.1, 730),
            WaterMix::input('now', 'The water now')->optional(),
            Input::number('active_ammonia_mg_l_d', 'Ammonia oxidisers now', 'mg N/L/d at 20 °C', 0, 10000)->or(
                Run::INOCULUM,
            ),
            Input::number('active_nitrite_mg_l_d', 'Nitrite oxidisers now', 'mg N/L/d at 20 °C', 0, 10000)->or(
                Run::INOCULUM,
            ),
            Input::number('points_a_day', 'Points a day', null, 1, 48)->or(2.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('series'),
            new Output('peak_tan_mg_l', 'mg/L as N'),
            new Output('peak_tan_day', 'd'),
            new Output('peak_no2_n_mg_l', 'mg/L as N'),
            new Output('peak_no2_day', 'd'),
            new Output('complete_day', 'd'),
            new Output('alkalinity_out_day', 'd'),
            new Output('nitrogen_balance'),
            new Output('end'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $run = Run::from($given);
        $state = Run::state(
            $given->object('now')?->numbers() ?? [],
            'now',
            $given->number('active_ammonia_mg_l_d'),
            $given->number('active_nitrite_mg_l_d'),
        );
        $every = 1 / $given->number('points_a_day');
        $trace = $run->through($state, [
            ...array_map(
                static fn(int $i): float => $i * $every,
                range(0, (int) floor($given->number('days') / $every - 1e-9)),
            ),
            $given->number('days'),
        ]);
        [$peakTan, $peakTanDay] = $trace->peak('tan_mg_l');
        [$peakNo2, $peakNo2Day] = $trace->peak('no2_n_mg_l');
        $dry = $trace->below('alkalinity_mg_l', Kinetics::ALKALINITY_HALF, 0.0);
        $complete = $trace->under($given->number('tan_limit_mg_l'), $given->number('no2_limit_mg_l'));

        $work = new Working();
        $work->step(
            'Load of ammonia.',
            'the larger of feed and fasting floor',
            Format::number($given->number('feed_g_d')) .
                ' g/d, ' .
                Format::number($given->number('biomass_kg')) .
                ' kg, ' .
                Format::number($given->number('volume_l'), 5) .
                ' L',
            Format::number($run->load(), 3) . ' mg N/L a day',
        );
        $work->step(
            'Ammonia oxidisers take it, nitrite oxidisers what they leave; both grow on it and die.',
            'r = X s f(T); dX = [mu s (1 − X/Xmax) − b(s)] X 1.09^(min(T, 32) − 25)',
            'grown full ' . Format::number($given->number('grown_mg_l_d')) . ' mg N/L/d',
            'steps that keep to a ten-millionth',
        );
        $work->step(
            'Ammonia and nitrite at their highest.',
            'max',
            '',
            Format::number($peakTan, 3) .
                ' mg/L on day ' .
                Format::number($peakTanDay, 3) .
                ', ' .
                Format::number($peakNo2, 3) .
                ' on day ' .
                Format::number($peakNo2Day, 3),
        );
        $work->step(
            'Nitrogen in and out.',
            'start + load + exchanged + events − end',
            '',
            Format::number($trace->missing(), 2) . ' mg/L missing',
        );
        $work->cite(
            'model-calibrated',
            'dormand-prince-1980',
            'hairer-1993',
            'zhu-chen-2002',
            'manser-2006',
            'timmons-ebeling',
            'rusten-2006',
            'emerson-1975',
        );
        $work->note(
            $complete === null
                ? Message::of('model.run_within_these_days_complete')
                : Message::of('model.run_day_both_stay_under', ['complete' => Format::number($complete, 3)]),
        );
        if ($dry !== null) {
            $work->danger(Message::of('model.run_alkalinity_runs_out', ['day' => Format::number($dry, 3)]));
        }
        $work->note(Message::of('model.run_calibrated_usual_six_weeks'));

        return $work->result([
            'series' => $trace->points,
            'peak_tan_mg_l' => $peakTan,
            'peak_tan_day' => $peakTanDay,
            'peak_no2_n_mg_l' => $peakNo2,
            'peak_no2_day' => $peakNo2Day,
            'complete_day' => $complete,
            'alkalinity_out_day' => $dry,
            'nitrogen_balance' => $trace->missing() / max(1e-9, $trace->throughput()),
            'end' => $trace->points[count($trace->points) - 1] ?? null,
        ]);
    }
}
