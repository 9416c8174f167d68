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
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * What the water itself takes of permanganate, from samples that stay pink or turn brown in 15 minutes.
 *
 * It lies between the strongest that turned brown and the weakest that stayed pink. The two must stand within 1 mg/L
 * of one another, and the lower of them is taken: what is given above the demand is what burns.
 *
 *     brown_mg_l 3, pink_mg_l 4, volume_l 1000  →  demand_mg_l 3, dose_mg_l 5
 *
 * @source uf-ifas-permanganate
 */
final readonly class PermanganateDemandCalculator implements Calculator
{
    /** How far the samples may stand apart, mg/L. Common practice, no source. */
    private const BRACKET_MG_L = 1.0;

    /** What is left to work on the fish, mg/L. */
    private const ABOVE_MG_L = 2.0;

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
            WaterInputs::ph()->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('demand_mg_l', 'mg/L'),
            new Output('dose_mg_l', 'mg/L'),
            new Output('dose_g', 'g'),
            new Output('refused'),
            new Output('codes'),
        ];
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
        $this->bracketed($pink, $brown);
        $demand = max($brown);
        $work = new Working();
        $work->step(
            'The strongest that turned brown; the weakest that stayed pink stands within 1 mg/L above it.',
            'max brown',
            Format::number($demand) . ' mg/L brown, ' . Format::number(min($pink)) . ' mg/L pink',
            Format::number($demand) . ' mg/L at least',
        );
        $work->cite('uf-ifas-permanganate', 'dose-conflicts');
        $ph = $given->numberOrNull('ph');
        $refusal = match (true) {
            $demand > TreatmentCalculator::MOST_DEMAND_MG_L => Message::of(
                'dose.permanganate_demand_mg_taken_dirt_permanganate',
            ),
            $ph !== null && $ph > Conflicts::PERMANGANATE_PH => Message::of('dose.permanganate_in_alkaline_water', [
                'ph' => Format::number($ph, 2),
            ]),
            default => null,
        };
        if ($refusal !== null) {
            $work->danger($refusal);

            return $work->result([
                'demand_mg_l' => $demand,
                'dose_mg_l' => null,
                'dose_g' => null,
                'refused' => true,
                'codes' => [$refusal->code],
            ]);
        }
        $dose = $demand + self::ABOVE_MG_L;
        $work->step(
            'Two above it, to work for some hours.',
            'demand + 2',
            Format::number($demand) . ' + 2',
            Format::number($dose) . ' mg/L',
        );
        $work->step(
            'Stocking.',
            '× volume / 1000',
            Format::number($given->number('volume_l'), 5) . ' L',
            Format::number(($dose * $given->number('volume_l')) / 1000, 4) . ' g',
        );
        $work->danger(Message::of('dose.permanganate_demand_never_formalin_another_oxidiser'));

        return $work->result([
            'demand_mg_l' => $demand,
            'dose_mg_l' => $dose,
            'dose_g' => ($dose * $given->number('volume_l')) / 1000,
            'refused' => false,
            'codes' => [],
        ]);
    }

    /**
     * @param  list<float>  $pink
     * @param  list<float>  $brown
     *
     * @phpstan-assert non-empty-list<float> $pink
     * @phpstan-assert non-empty-list<float> $brown
     *
     * @throws BadInput where the samples do not tell the demand from both sides
     */
    private function bracketed(array $pink, array $brown): void
    {
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
        if ($brown === []) {
            throw BadInput::at(
                'brown_mg_l',
                'All stayed pink: the water may take far less. Try weaker samples until one turns brown.',
            );
        }
        if (max($brown) >= min($pink)) {
            throw BadInput::at(
                'samples',
                'A stronger sample turned brown where a weaker stayed pink: do the test again.',
            );
        }
        if (min($pink) - max($brown) > self::BRACKET_MG_L + 1e-9) {
            throw BadInput::at(
                'pink_mg_l',
                'Brown at ' .
                    Format::number(max($brown)) .
                    ' and pink at ' .
                    Format::number(min($pink)) .
                    ' mg/L stand too far apart: try one in between, until they are within 1 mg/L.',
            );
        }
    }
}
