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
 * What the water itself takes of permanganate, from samples that stay pink or turn brown in 15 minutes.
 *
 * @source uf-ifas-permanganate
 */
final readonly class PermanganateDemandCalculator implements Calculator
{
    public function name(): string
    {
        return 'dose.permanganate_demand';
    }

    public function title(): string
    {
        return 'Permanganate demand';
    }

    public function inputs(): array
    {
        return [
            Input::rows(
                'samples',
                'Samples',
                [Input::number('dose_mg_l', 'Given', 'mg/L', 0.1, 30), Input::flag('pink', 'Pink after 15 minutes')],
                2,
                20,
            )->optional(),
            Input::number('brown_mg_l', 'Most that turned brown in 15 min', 'mg/L', 0.1, 30)->optional(),
            Input::number('pink_mg_l', 'Least that stayed pink', 'mg/L', 0.1, 30)->optional(),
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
        ];
    }

    public function outputs(): array
    {
        return [new Output('demand_mg_l', 'mg/L'), new Output('dose_mg_l', 'mg/L'), new Output('dose_g', 'g')];
    }

    public function calculate(Given $given): Result
    {
        $pink = $brown = [];
        foreach ($given->rows('samples') as $sample) {
            if ($sample->flag('pink')) {
                $pink[] = $sample->number('dose_mg_l');
            } else {
                $brown[] = $sample->number('dose_mg_l');
            }
        }
        foreach (['brown_mg_l', 'pink_mg_l'] as $key) {
            if ($given->numberOrNull($key) !== null) {
                $key === 'pink_mg_l' ? ($pink[] = $given->number($key)) : ($brown[] = $given->number($key));
            }
        }
        if ($pink === [] && $brown === []) {
            throw BadInput::at('pink_mg_l', 'What is the least that stayed pink for a quarter of an hour?');
        }
        if ($pink === []) {
            throw BadInput::at(
                'samples',
                'None stayed pink: the water takes more than the strongest sample. Clean it ' .
                    'first; so dirty a water is not treated.',
            );
        }
        if ($brown !== [] && max($brown) >= min($pink)) {
            throw BadInput::at(
                'samples',
                'A stronger sample turned brown where a weaker stayed pink: do the test again.',
            );
        }
        // The weakest that stays pink holds the demand; the strongest that does not is less than it.
        $demand = min($pink);
        $work = new Working();
        $work->step(
            'The weakest sample that is still pink holds the demand.',
            'min pink',
            implode(', ', array_map(static fn(float $dose): string => Format::number($dose), $pink)) . ' mg/L pink',
            Format::number($demand) . ' mg/L at most',
        );
        if ($demand > 6) {
            $work->danger(Message::of('dose.permanganate_demand_mg_taken_dirt_permanganate'));
            $work->cite('uf-ifas-permanganate');

            return $work->result(['demand_mg_l' => $demand, 'dose_mg_l' => null, 'dose_g' => null]);
        }
        $dose = $demand + 2;
        $work->step(
            'Two above it, to work for some hours.',
            'demand + 2',
            Format::number($demand) . ' + 2',
            Format::number($dose) . ' mg/L',
        );
        $work->step(
            'In all the water.',
            '× volume / 1000',
            Format::number($given->number('volume_l'), 5) . ' L',
            Format::number(($dose * $given->number('volume_l')) / 1000, 4) . ' g',
        );
        $work->cite('uf-ifas-permanganate', 'dose-conflicts');
        $work->danger(Message::of('dose.permanganate_demand_never_formalin_another_oxidiser'));

        return $work->result([
            'demand_mg_l' => $demand,
            'dose_mg_l' => $dose,
            'dose_g' => ($dose * $given->number('volume_l')) / 1000,
        ]);
    }
}
