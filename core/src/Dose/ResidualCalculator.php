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
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/**
 * What is left of a dose after decay, a trickle, changes and what adsorbs it, and what tops it up.
 *
 * The source has none of it; nothing is ever left below nothing. A clearing is a trickle, carbon or zeolite that
 * frees so many litres an hour of it from one hour to another, and holds so much and no more.
 *
 *     volume_l 1000, dose_mg_l 10, target_mg_l 10, hours 24, half_life_h 24, changes [{"at_h": 24, "change_pct":
 *       50}]  →  residual_mg_l 2.5
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
            Input::rows(
                'changes',
                'Changes',
                [Input::number('at_h', 'At hour', 'h', 0, 87600), Input::number('change_pct', 'Changed', '%', 0, 100)],
                0,
                1000,
            )->optional(),
            Input::rows(
                'clearings',
                'What takes it out',
                [
                    Input::choice('by', 'By', ['trickle', 'carbon', 'zeolite']),
                    Input::number('from_h', 'From hour', 'h', 0, 87600),
                    Input::number('to_h', 'To hour', 'h', 0, 87600),
                    Input::number('cleared_l_h', 'Freed of it', 'L/h', 0, 1e7),
                    Input::number('holds_g', 'Holds', 'g', 0, 1e6)->optional(),
                ],
                0,
                200,
            )->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('residual_mg_l', 'mg/L'),
            new Output('top_up_g', 'g'),
            new Output('adsorbed_g', 'g'),
            new Output('curve'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $volume = $given->number('volume_l');
        $half = $given->numberOrNull('half_life_h');
        $hours = $given->number('hours');
        $changes = [];
        foreach ($given->rows('changes') as $i => $change) {
            if ($change->number('at_h') > $hours) {
                throw BadInput::at("changes.{$i}.at_h", 'This change is still to come at that hour.');
            }
            $changes[] = ['at_h' => $change->number('at_h'), 'change_pct' => $change->number('change_pct')];
        }
        $clearings = [new Clearing('trickle', 0.0, INF, $given->number('flow_l_h'))];
        foreach ($given->rows('clearings') as $i => $row) {
            if ($row->number('to_h') < $row->number('from_h')) {
                throw BadInput::at("clearings.{$i}.to_h", 'It ends before it begins.');
            }
            $clearings[] = new Clearing(
                $row->text('by'),
                $row->number('from_h'),
                $row->number('to_h'),
                $row->number('cleared_l_h'),
                $row->numberOrNull('holds_g'),
            );
        }
        $fading = Fading::of($volume, $given->number('dose_mg_l'), $half, $changes, $clearings, $hours);
        $residual = $fading->left($hours);
        $work = new Working();
        $work->step(
            'Gone by itself, with what trickles in and what adsorbs it, from one event to the next.',
            'C = C₀ e^(−(ln 2/half + Σ q/V) t)',
            Format::number($given->number('dose_mg_l')) .
                ' mg/L, ' .
                ($half === null ? 'no decay' : 'half in ' . Format::number($half, 3) . ' h') .
                ', ' .
                Format::number($given->number('flow_l_h'), 3) .
                ' L/h of trickle, ' .
                (count($clearings) - 1) .
                ' more that clear it, ' .
                Format::number($hours) .
                ' h',
            $fading->adsorbedG > 0 ? Format::number($fading->adsorbedG, 3) . ' g adsorbed' : 'nothing adsorbed',
        );
        $work->step(
            'And with each change.',
            '× (1 − x)',
            count($changes) . ' changes',
            Format::number($residual) . ' mg/L',
        );
        if ($fading->adsorbedG > 0) {
            $work->watch(Message::of('dose.residual_how_much_carbon_zeolite'));
        }
        $topUp = (max(0.0, $given->number('target_mg_l') - $residual) * $volume) / 1000;
        $work->step(
            'To bring it back.',
            '(target − left) × volume / 1000',
            Format::number($given->number('target_mg_l')) . ' mg/L',
            Format::number($topUp, 4) . ' g',
        );
        $work->cite('mass-balance');

        return $work->result([
            'residual_mg_l' => $residual,
            'top_up_g' => $topUp,
            'adsorbed_g' => $fading->adsorbedG,
            'curve' => array_map(
                static fn(int $i): array => ['hour' => ($hours * $i) / 48, 'mg_l' => $fading->left(($hours * $i) / 48)],
                range(0, 48),
            ),
        ]);
    }
}
