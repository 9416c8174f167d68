<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What one change of water leaves: drain first, then refill.
 *
 * A change can burn: where ammonia stands, new water of a higher pH and KH turns it. Un-ionised ammonia is given
 * before, right after while no gas is lost, and once the water is aired.
 *
 *     volume_l 1000, change_pct 50, now {"no3_n_mg_l": 20}, source {"no3_n_mg_l": 5}  →  after.no3_n_mg_l 12.5
 *     volume_l 1000, change_pct 50, now {"tan_mg_l": 1, "ph": 7, "temp_c": 20, "alkalinity_mg_l": 40}, source
 *       {"tan_mg_l": 0, "ph": 8.2, "temp_c": 20, "alkalinity_mg_l": 200}  →  nh3_n_now_mg_l 0.0040, nh3_n_after_mg_l
 *       0.0096, nh3_n_aired_mg_l 0.077
 *
 * @see WaterMix, Burning
 */
final readonly class BatchCalculator implements Calculator
{
    public function name(): string
    {
        return 'exchange.batch';
    }

    public function title(): string
    {
        return 'One change of water';
    }

    public function inputs(): array
    {
        return [
            ...ChangeInputs::inputs(),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('after'),
            new Output('change_l', 'L'),
            new Output('change_pct', '%'),
            new Output('nh3_n_now_mg_l', 'mg/L as N'),
            new Output('nh3_n_after_mg_l', 'mg/L as N'),
            new Output('nh3_n_aired_mg_l', 'mg/L as N'),
            new Output('ph_aired'),
            new Output('burns'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $share = ChangeInputs::share($given);
        [$now, $source] = WaterMix::pair($given);
        $after = $now->with($source, $share);
        $work = new Working();
        $work->step(
            'Drained first, then filled again.',
            'after = now (1 − x) + new x',
            'x = ' . Format::number($share),
            Format::number(100 * $share, 3) . ' % changed',
        );
        ChangeInputs::warn($work, $now, $source, $after);
        $burns = Burning::of($now, $after, $given->number('nh3_limit_mg_l'));
        if ($after->unionised() !== null) {
            $said = static fn(?float $value): string => $value === null ? 'not known' : Format::number($value, 2);
            $work->step(
                'Un-ionised ammonia right after, and once it is aired to 0.5 mg/L of CO₂.',
                'TAN × share at the pH',
                $said($now->unionised()) . ' mg/L before',
                $said($after->unionised()) . ', aired ' . $said($after->airedUnionised()) . ' mg/L',
            );
            $work->cite('emerson-1975', 'plummer-busenberg-1982');
        }
        if ($burns) {
            $work->danger(
                Message::of('exchange.change_burns', [
                    'after' => Format::number($after->airedUnionised() ?? ($after->unionised() ?? 0.0), 2),
                    'tan' => Format::number($now->values['tan_mg_l'] ?? 0.0, 2),
                ]),
            );
        }

        return $work->result([
            'after' => $after->figures(),
            'change_l' => $share * $given->number('volume_l'),
            'change_pct' => 100 * $share,
            'nh3_n_now_mg_l' => $now->unionised(),
            'nh3_n_after_mg_l' => $after->unionised(),
            'nh3_n_aired_mg_l' => $after->unionised() === null ? null : $after->airedUnionised(),
            'ph_aired' => $after->airedPh(),
            'burns' => $burns,
        ]);
    }
}
