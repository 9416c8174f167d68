<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * Fish in their own water in a tub, new water dripping in: how long until they can be netted across, and how fast at
 * the most. Nothing leaves the tub, so the difference falls as V/(V + qt), fastest at the start.
 *
 * They are let across when what is left of every difference is what they stand in an hour. Where a difference is more
 * than they stand in a day the tub, or the system, is matched first. pH is taken to move with the water, which it does
 * to a few hundredths where alkalinities are alike.
 *
 *     from {"temp_c": 14}, to {"temp_c": 19}, tub_l 60  →  minutes 225, limiting temp_c, added_l 90
 *
 * @source cp-arrival  an hour: 2 °C, 0.3 pH, 1 g/L of salt; a day: 8 °C, 1 pH, 9 mg/L of nitrate as N
 */
final readonly class AcclimatiseCalculator implements Calculator
{
    /** What fish stand in an hour. */
    public const AN_HOUR = ['temp_c' => 2.0, 'ph' => 0.3, 'salinity_g_l' => 1.0];

    /** And in a day: more is matched before they move at all. */
    public const A_DAY = ['temp_c' => 8.0, 'ph' => 1.0, 'no3_n_mg_l' => 9.0];

    private const MATCH = [
        'temp_c' => 'arrival.match_temp_c',
        'ph' => 'arrival.match_ph',
        'no3_n_mg_l' => 'arrival.match_no3_n_mg_l',
    ];

    public function name(): string
    {
        return 'arrival.acclimatise';
    }

    public function title(): string
    {
        return 'From their water into ours';
    }

    public function inputs(): array
    {
        return [
            Input::object('from', 'Their water', self::water()),
            Input::object('to', 'Ours', self::water()),
            Input::number('tub_l', 'Their water in the tub', 'L', 0.5, 1e5),
            Input::number('drip_l_min', 'Drip', 'L/min', 0.001, 1000)->optional(),
            Input::object('max_per_h', 'At most in an hour', [
                Input::number('temp_c', 'Temperature', '°C', 0.1, 20)->or(self::AN_HOUR['temp_c']),
                Input::number('ph', 'pH', null, 0.05, 3)->or(self::AN_HOUR['ph']),
                Input::number('salinity_g_l', 'Salt', 'g/L', 0.1, 20)->or(self::AN_HOUR['salinity_g_l']),
            ])->optional(),
        ];
    }

    /** @return list<Input> */
    private static function water(): array
    {
        return [
            Input::number('temp_c', 'Temperature', '°C', 0, 40)->optional(),
            Input::number('ph', 'pH', null, 4, 11)->optional(),
            Input::number('salinity_g_l', 'Salt', 'g/L', 0, 40)->optional(),
            Input::number('no3_n_mg_l', 'Nitrate', 'mg/L as N', 0, 500)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('minutes', 'min'),
            new Output('limiting'),
            new Output('added_l', 'L'),
            new Output('drip_l_min', 'L/min'),
            new Output('fastest_l_min', 'L/min'),
            new Output('match_first'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $from = $given->object('from')?->numbers() ?? [];
        $to = $given->object('to')?->numbers() ?? [];
        $most = [...self::AN_HOUR, ...$given->object('max_per_h')?->numbers() ?? []];
        $volume = $given->number('tub_l');
        $work = new Working();
        $work->cite('cp-arrival');
        $far = [];
        foreach (self::A_DAY as $key => $day) {
            if (isset($from[$key], $to[$key]) && abs($to[$key] - $from[$key]) > $day + 1e-9) {
                $far[$key] = abs($to[$key] - $from[$key]) / $day;
                $work->danger(
                    Message::of(self::MATCH[$key], [
                        'from' => Format::number($from[$key]),
                        'to' => Format::number($to[$key]),
                        'most' => Format::number($day),
                    ]),
                );
            }
        }
        arsort($far);
        $apart = [];
        foreach ($most as $key => $hour) {
            if (isset($from[$key], $to[$key])) {
                $apart[$key] = abs($to[$key] - $from[$key]) / $hour;
            }
        }
        arsort($apart);
        $limiting = array_key_first($apart);
        $times = $limiting === null ? 0.0 : $apart[$limiting];
        // At the start the difference falls by q/V of itself in a minute.
        $fastest = $times > 0 ? $volume / (60 * $times) : null;
        $asked = $given->numberOrNull('drip_l_min');
        $drip = $fastest === null ? $asked : min($asked ?? $fastest, $fastest);
        $added = $volume * max(0.0, $times - 1);
        $minutes = $added <= 0 ? 0.0 : ($drip === null ? null : $added / $drip);
        $stays = $far !== [];
        $work->step(
            'How many times what they stand in an hour lies between the waters.',
            '|to − from| / most',
            implode(', ', array_map(self::said(...), array_keys($apart), $apart)),
            $limiting === null ? 'nothing to compare' : Format::number($times, 2) . ", by {$limiting}",
        );
        if ($fastest !== null) {
            $work->step(
                'The fastest drip: no more than that in the first hour, when the difference falls fastest.',
                'tub / (60 × times)',
                Format::number($volume) . ' L / (60 × ' . Format::number($times, 2) . ')',
                Format::number($fastest, 2) . ' L/min',
            );
            $work->step(
                'Water until what is left is what they stand in an hour.',
                'tub × (times − 1)',
                Format::number($volume) . ' L × ' . Format::number(max(0.0, $times - 1), 2),
                Format::number($added, 3) . ' L',
            );
        }
        if ($asked !== null && $fastest !== null && $asked > $fastest) {
            $work->watch(Message::of('arrival.drip_too_fast', ['fastest' => Format::number($fastest, 2)]));
        }
        if (!$stays) {
            $work->note(Message::of($minutes === 0.0 ? 'arrival.net_across' : 'arrival.drip_then_net'));
        }

        return $work->result([
            'minutes' => $stays ? null : $minutes,
            'limiting' => $stays ? array_key_first($far) : ($times > 1 ? $limiting : null),
            'added_l' => $stays ? null : $added,
            'drip_l_min' => $stays ? null : $drip,
            'fastest_l_min' => $fastest,
            'match_first' => array_keys($far),
        ]);
    }

    private static function said(string $key, float $times): string
    {
        return "{$key} " . Format::number($times, 2);
    }
}
