<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

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
 * A constant trickle: C = Cs + P/Q + (C0 − Cs − P/Q) e^(−Qt/V).
 *
 * Temperature has its own heat balance and pH does not mix, so neither is taken here.
 *
 *     volume_l 10000, pct_per_week 10, now {"no3_n_mg_l": 10}, source {"no3_n_mg_l": 2}, production_g_d
 *       {"no3_n_mg_l": 1}, days 7  →  flow_l_min 0.0992, exchanged_pct 9.52
 *     volume_l 10000, pct_per_week 100, now {"no3_n_mg_l": 10}, source {"no3_n_mg_l": 2}, days 7  →  exchanged_pct 63.2
 */
final readonly class TrickleCalculator implements Calculator
{
    public function name(): string
    {
        return 'exchange.trickle';
    }

    public function title(): string
    {
        return 'A constant trickle';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('flow_l_h', 'Trickle', 'L/h', 0, 1e7)->optional(),
            Input::number('pct_per_week', 'Trickle', '% a week', 0, 100000)->insteadOf('flow_l_h'),
            WaterMix::input('now', 'The system now'),
            WaterMix::input('source', 'New water'),
            Input::object(
                'production_g_d',
                'Made in a day',
                array_map(
                    static fn(Input $field): Input => Input::number($field->key, $field->label, 'g/d', -1e6, 1e6),
                    WaterMix::fields(),
                ),
            )->optional(),
            Input::number('days', 'Days', 'd', 0, 36500)->or(30.0),
            Input::number('jug_l', 'Jug', 'L', 0.05, 100)->or(1.0),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('curve'),
            new Output('after'),
            new Output('steady'),
            new Output('half_life_d', 'd'),
            new Output('exchanged_pct', '%'),
            new Output('flow_l_h', 'L/h'),
            new Output('flow_l_min', 'L/min'),
            new Output('jug_s', 's'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $flow = $given->numberOrNull('flow_l_h');
        $percent = $given->numberOrNull('pct_per_week');
        if ($flow === null && $percent === null) {
            throw BadInput::at('flow_l_h', 'Say how much trickles in.');
        }
        [$now, $source] = WaterMix::pair($given);
        foreach (['temp_c', 'ph'] as $key) {
            if (isset($now->values[$key])) {
                throw BadInput::at("now.{$key}", 'A trickle cannot be worked out for this.');
            }
        }
        $made = $given->object('production_g_d')?->numbers() ?? [];
        foreach (array_diff_key($made, $now->values) as $key => $value) {
            throw BadInput::at("production_g_d.{$key}", 'Say how much of this is in the water now.');
        }
        $perDay = 24 * ($flow ?? (($percent / 100) * $volume) / 168);
        $days = $given->number('days');
        $at = fn(float $day): array => $this->at($now, $source, $made, $volume, $perDay, $day);
        $curve = array_map(
            static fn(int $i): array => ['day' => ($days * $i) / 60, ...$at(($days * $i) / 60)],
            range(0, 60),
        );

        $work = new Working();
        $work->step(
            'What trickles in a day.',
            'flow × 24',
            Format::number($perDay / 24) . ' L/h',
            Format::number($perDay, 4) . ' L, ' . Format::number($perDay / 1440, 3) . ' L/min',
        );
        $work->step(
            'How far it has exchanged the water.',
            '1 − e^(−Q t / V)',
            Format::number($days) . ' days, ' . Format::number($volume, 5) . ' L',
            Format::number(100 * (1 - exp((-$perDay * $days) / $volume)), 3) . ' %',
        );
        if ($perDay > 0) {
            $work->step(
                'Where it settles.',
                'Cs + P/Q',
                implode(
                    ', ',
                    array_map(
                        static fn(string $key, float $value): string => "{$key} " . Format::number($value, 3),
                        array_keys($this->steady($now, $source, $made, $perDay)),
                        $this->steady($now, $source, $made, $perDay),
                    ),
                ),
                'half the way in ' . Format::number((log(2) * $volume) / $perDay, 3) . ' days',
            );
        }
        $work->cite('mass-balance');
        if ($perDay <= 0) {
            $work->note(Message::of('exchange.trickle_nothing_trickles_made_gathers'));
        }

        return $work->result([
            'curve' => $curve,
            'after' => $at($days) === [] ? new \stdClass() : $at($days),
            'steady' => $perDay > 0 ? $this->steady($now, $source, $made, $perDay) : null,
            'half_life_d' => $perDay > 0 ? (log(2) * $volume) / $perDay : null,
            'exchanged_pct' => 100 * (1 - exp((-$perDay * $days) / $volume)),
            'flow_l_h' => $perDay / 24,
            'flow_l_min' => $perDay / 1440,
            'jug_s' => $perDay > 0 ? ($given->number('jug_l') / $perDay) * 86400 : null,
        ]);
    }

    /**
     * @param  array<string, float>  $made  g/d
     * @return array<string, float>
     */
    private function at(WaterMix $now, WaterMix $source, array $made, float $volume, float $perDay, float $day): array
    {
        $left = exp((-$perDay * $day) / $volume);
        $steady = $perDay > 0 ? $this->steady($now, $source, $made, $perDay) : [];
        $after = [];
        foreach ($now->values as $key => $value) {
            $after[$key] =
                $perDay > 0
                    ? $steady[$key] + ($value - $steady[$key]) * $left
                    : $value + self::perLitre($key, (($made[$key] ?? 0.0) * $day) / $volume);
        }

        return $after;
    }

    /**
     * @param  array<string, float>  $made
     * @return array<string, float>
     */
    private function steady(WaterMix $now, WaterMix $source, array $made, float $perDay): array
    {
        $steady = [];
        foreach (array_keys($now->values) as $key) {
            $steady[$key] = $source->values[$key] + self::perLitre($key, ($made[$key] ?? 0.0) / $perDay);
        }

        return $steady;
    }

    /** g/L as the unit of the key. */
    private static function perLitre(string $key, float $gPerL): float
    {
        return $key === 'salinity_g_l' ? $gPerL : 1000 * $gPerL;
    }
}
