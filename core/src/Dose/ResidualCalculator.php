<?php

declare(strict_types=1);

namespace Ironwort\Core\Dose;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Say;

/**
 * What is left of a dose after decay, a trickle and changes, and what tops it up.
 *
 * The source has none of it; nothing is ever left below nothing.
 *
 *     10 mg/L, half in 24 h, after a day and a change of half  →  2.5
 *
 * @source dose-half-lives-from-memory  of the agents that are known
 */
final readonly class ResidualCalculator implements Calculator
{
    public function name(): string
    {
        return 'dose.residual';
    }

    public function title(): string
    {
        return 'What is left of a dose';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('dose_mg_l', 'Dose', 'mg/L', 0, 1e6),
            Input::number('target_mg_l', 'Level to hold', 'mg/L', 0, 1e6),
            Input::number('hours', 'Hours since', 'h', 0, 87600),
            Input::number('half_life_h', 'Half of it gone in', 'h', 0.01, 1e6)->optional(),
            Input::number('flow_l_h', 'Trickle', 'L/h', 0, 1e7)->or(0.0),
            Input::rows('changes', 'Changes', [Input::number('at_h', 'At hour', 'h', 0, 87600), Input::number('change_pct', 'Changed', '%', 0, 100)], 0, 1000)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [new Output('residual_mg_l', 'mg/L'), new Output('top_up_g', 'g'), new Output('curve')];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $half = $given->numberOrNull('half_life_h');
        $rate = ($half === null ? 0.0 : log(2) / $half) + $given->number('flow_l_h') / $volume;
        $changes = $given->rows('changes');
        foreach ($changes as $i => $change) {
            if ($change->number('at_h') > $given->number('hours')) {
                throw BadInput::at("changes.{$i}.at_h", 'This change is still to come at that hour.');
            }
        }
        $left = static function (float $hours) use ($given, $rate, $changes): float {
            $level = $given->number('dose_mg_l') * exp(-$rate * $hours);
            foreach ($changes as $change) {
                $level *= $change->number('at_h') <= $hours ? 1 - $change->number('change_pct') / 100 : 1.0;
            }

            return max(0.0, $level);
        };
        $residual = $left($given->number('hours'));
        $work = new Working;
        $work->step('Gone by itself and with the trickle.', 'dose × e^(−(ln 2/half + Q/V) t)', Say::number($given->number('dose_mg_l')).' mg/L, '.Say::number($rate, 3).' an hour, '.Say::number($given->number('hours')).' h', Say::number($given->number('dose_mg_l') * exp(-$rate * $given->number('hours'))).' mg/L');
        $work->step('And with each change.', '× (1 − x)', count($changes).' changes', Say::number($residual).' mg/L');
        $topUp = max(0.0, $given->number('target_mg_l') - $residual) * $volume / 1000;
        $work->step('To bring it back.', '(target − left) × volume / 1000', Say::number($given->number('target_mg_l')).' mg/L', Say::number($topUp, 4).' g');
        $work->cite('mass-balance');

        return $work->result(['residual_mg_l' => $residual, 'top_up_g' => $topUp, 'curve' => array_map(static fn (int $i): array => ['hour' => $given->number('hours') * $i / 48, 'mg_l' => $left($given->number('hours') * $i / 48)], range(0, 48))]);
    }
}
