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
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * How much of a filter's surface lives today, by what happened to it.
 *
 *     greatest_g_d 60, temp_c 20, days 200, load_g_d 3, happened [{"days_ago": 60, "kind": "load", "value": 6},
 *       {"days_ago": 10, "kind": "lost", "value": 30, "low": 15, "high": 50}]  →  active_pct 60.1, active_low_pct 45.5,
 *       active_high_pct 71.2
 *
 * Each row of `happened` says how many days ago, what, and its value: `load` g N/d and `warmth` °C from then on,
 * `media` % of today's surface that stands from then on, `lost` % of what lived, `seeded` g N/d at 20 °C brought in,
 * `slept` days without ammonia. `low` and `high` bound a value that is not sure.
 *
 * @see History for formulas and sources
 */
final readonly class HistoryCalculator implements Calculator
{
    public function name(): string
    {
        return 'filter.history';
    }

    public function title(): string
    {
        return 'What lives in a filter, by its past';
    }

    public function inputs(): array
    {
        return [
            Input::number('greatest_g_d', 'The grown surface takes', 'g N/d', 0, 1e9),
            Input::number('flat_out_pct', 'of that in this water', '%', 0, 100)->or(100.0),
            WaterInputs::temperature(),
            Input::number('days', 'Followed for', 'd', 0, History::LOOKED_BACK_D),
            Input::number('load_g_d', 'Load then', 'g N/d', 0, 1e9),
            Input::number('then_temp_c', 'Temperature then', '°C', 0, 40)->optional(),
            Input::number('standing_pct', 'Surface that had long stood then', '%', 0, 100)->or(100.0),
            Input::number('standing_high_pct', 'at most', '%', 0, 100)->optional(),
            Input::rows(
                'happened',
                'What happened since',
                [
                    Input::number('days_ago', 'Days ago', 'd', 0, History::LOOKED_BACK_D),
                    Input::choice(
                        'kind',
                        'What',
                        array_map(static fn(HappeningKind $kind): string => $kind->value, HappeningKind::cases()),
                    ),
                    Input::number('value', 'Value', null, 0, 1e9),
                    Input::number('low', 'at least', null, 0, 1e9)->optional(),
                    Input::number('high', 'at most', null, 0, 1e9)->optional(),
                ],
                0,
                400,
            )->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('active_pct', '%'), new Output('active_low_pct', '%'), new Output('active_high_pct', '%')];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $standing = $given->number('standing_pct') / 100;
        $most = $given->numberOrNull('standing_high_pct');
        $history = History::of(
            $given->number('greatest_g_d'),
            $given->number('flat_out_pct') / 100,
            $temp,
            $given->number('days'),
            [
                'load' => $given->number('load_g_d'),
                'tempC' => $given->numberOrNull('then_temp_c') ?? $temp,
                'standing' => Happening::of(
                    $given->number('days'),
                    HappeningKind::Media,
                    $standing,
                    high: $most === null ? null : $most / 100,
                ),
            ],
            $this->happened($given),
        );
        $work = new Working();
        $work->step(
            'What had long stood is settled under the load of then; what went in later begins with nothing.',
            '1/(1 + b/mu · greatest/load)',
            Format::number($given->number('days')) .
                ' days ago: ' .
                Format::number($given->number('load_g_d'), 3) .
                ' g N/d on ' .
                Format::number(100 * $standing, 3) .
                ' % of a surface for ' .
                Format::number($given->number('greatest_g_d'), 3),
            'the share it begins with',
        );
        $work->step(
            'Followed to today through loads, temperatures, losses, seeds and sleep.',
            'dX = [mu s (1 − X) − b] X · 1.09^(T − 25)',
            count($given->rows('happened')) . ' things that happened',
            Format::number(100 * $history->share, 3) .
                ' % (' .
                Format::number(100 * $history->low, 2) .
                ' to ' .
                Format::number(100 * $history->high, 3) .
                ')',
        );
        $work->cite('model-calibrated', 'manser-2006');
        $work->note(Message::of('filter.history_band'));

        return $work->result([
            'active_pct' => 100 * $history->share,
            'active_low_pct' => 100 * $history->low,
            'active_high_pct' => 100 * $history->high,
        ]);
    }

    /**
     * @return list<Happening>
     *
     * @throws BadInput at a value that its kind cannot have
     */
    private function happened(Given $given): array
    {
        $list = [];
        foreach ($given->rows('happened') as $i => $row) {
            $kind = HappeningKind::from($row->text('kind'));
            [$most, $scale] = match ($kind) {
                HappeningKind::Media, HappeningKind::Lost => [100.0, 0.01],
                HappeningKind::Warmth => [40.0, 1.0],
                default => [1e9, 1.0],
            };
            $read = static function (string $key) use ($row, $most, $scale, $i): ?float {
                $value = $row->numberOrNull($key);
                if ($value !== null && $value > $most) {
                    throw BadInput::at("happened.{$i}.{$key}", 'No more than ' . Format::number($most) . '.');
                }

                return $value === null ? null : $value * $scale;
            };
            $list[] = Happening::of(
                $row->number('days_ago'),
                $kind,
                $read('value') ?? 0.0,
                $read('low'),
                $read('high'),
            );
        }

        return $list;
    }
}
