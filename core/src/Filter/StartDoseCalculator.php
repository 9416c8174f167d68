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
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Words\Message;

/**
 * Ammonia for starting a filter without fish: how much, and when again.
 *
 *     volume_l 1000, target_mg_l 2, product ammonium_chloride  →  dose_g 7.64
 */
final readonly class StartDoseCalculator implements Calculator
{
    public function name(): string
    {
        return 'filter.start_dose';
    }

    public function title(): string
    {
        return 'Feeding a start without fish';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 0.1, 1e8),
            Input::number('target_mg_l', 'To a level of', 'mg/L as N', 0.1, 10),
            Input::number('tan_mg_l', 'Ammonia now', 'mg/L as N', 0, 100)->or(0.0),
            Input::choice('product', 'With', ['ammonium_chloride', 'ammonium_sulfate', 'ammonia_solution']),
            Input::number('strength_pct', 'Strength of the product', '%', 0.5, 100)->optional(),
            Input::number('density_g_ml', 'Its density', 'g/mL', 0.85, 1.05)->or(0.96),
            Input::number('fall_mg_l_d', 'Ammonia falls a day', 'mg/L as N', 0, 100)->optional(),
            Input::number('again_below_mg_l', 'Again below', 'mg/L as N', 0, 10)->or(0.5),
        ];
    }

    public function outputs(): array
    {
        return [new Output('dose_g', 'g'), new Output('dose_ml', 'mL'), new Output('again_in_d', 'd')];
    }

    public function calculate(Given $given): Result
    {
        $product = $given->text('product');
        $short =
            (max(0.0, $given->number('target_mg_l') - $given->number('tan_mg_l')) * $given->number('volume_l')) / 1000;
        if ($given->number('target_mg_l') > 5) {
            throw BadInput::at('target_mg_l', 'Above 5 mg/L the bacteria that are to grow are held back by it.');
        }
        $strength = $given->numberOrNull('strength_pct');
        if ($product === 'ammonia_solution' && $strength === null) {
            throw BadInput::at('strength_pct', 'Its strength differs from bottle to bottle: read it off the label.');
        }
        $perN = match ($product) {
            'ammonium_chloride' => (MolarMass::NH4 + MolarMass::CL) / MolarMass::N,
            'ammonium_sulfate' => (2 * MolarMass::NH4 + MolarMass::S + 4 * MolarMass::O) / (2 * MolarMass::N),
            default => MolarMass::NH3 / MolarMass::N,
        };
        $grams = ($short * $perN) / (($strength ?? 100.0) / 100);
        $fall = $given->numberOrNull('fall_mg_l_d');
        $work = new Working();
        $work->step(
            'Nitrogen that is short.',
            '(target − now) × volume / 1000',
            Format::number($given->number('target_mg_l')) .
                ' − ' .
                Format::number($given->number('tan_mg_l')) .
                ' mg/L',
            Format::number($short, 3) . ' g N',
        );
        $work->step(
            'As the product.',
            'N × molar mass / 14.007 / strength',
            Format::number($perN, 4) . ' g a gram of N',
            Format::number($grams, 4) . ' g',
        );
        $work->cite('iupac-2007');
        $work->note(Message::of('filter.start_dose_bottled_ammonium_brings_alkalinity'));
        if ($product === 'ammonia_solution') {
            $work->watch(Message::of('filter.start_dose_ammonia_burns_eyes_lungs'));
        }

        return $work->result([
            'dose_g' => $grams,
            'dose_ml' => $product === 'ammonia_solution' ? $grams / $given->number('density_g_ml') : null,
            'again_in_d' =>
                $fall === null || $fall <= 0
                    ? null
                    : max(0.0, ($given->number('target_mg_l') - $given->number('again_below_mg_l')) / $fall),
        ]);
    }
}
