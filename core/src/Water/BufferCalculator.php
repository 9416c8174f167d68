<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

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
 * Raising alkalinity with bicarbonate or soda: grams, safe steps, and what it does to pH and ammonia first.
 *
 *     1,000 L up 1 dKH  →  29.96 g of bicarbonate
 *
 * @see Carbonate
 */
final readonly class BufferCalculator implements Calculator
{
    /** Grams of sodium bicarbonate, and of sodium carbonate, for a gram of alkalinity as CaCO3. */
    public const BICARBONATE_PER_CACO3 = 1.6787;

    public const CARBONATE_PER_CACO3 = 1.059;

    public function name(): string
    {
        return 'carbonate.buffer';
    }

    public function title(): string
    {
        return 'Raising KH';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            WaterInputs::alkalinity(),
            Input::number('target_alkalinity_mg_l', 'Alkalinity wanted', 'mg/L as CaCO₃', 0, 1000),
            Input::choice('agent', 'With', ['sodium_bicarbonate', 'sodium_carbonate']),
            WaterInputs::ph(),
            WaterInputs::temperature(),
            Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 1000)->or(0.0),
            Input::number('max_step_mg_l', 'Most at once', 'mg/L as CaCO₃', 1, 1000)->or(36.0),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('dose_g', 'g'),
            new Output('steps'),
            new Output('ph_after'),
            new Output('ph_aired'),
            new Output('nh3_n_now_mg_l', 'mg/L as N'),
            new Output('nh3_n_after_mg_l', 'mg/L as N'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $now = $given->number('alkalinity_mg_l');
        $target = $given->number('target_alkalinity_mg_l');
        if ($target < $now) {
            throw BadInput::at(
                'target_alkalinity_mg_l',
                'There is more than that already (' . Format::number($now) . ' mg/L): only changes bring it down.',
            );
        }
        $soda = $given->text('agent') === 'sodium_carbonate';
        $mass = $soda
            ? 2 * MolarMass::NA + MolarMass::C + 3 * MolarMass::O
            : 2 * (MolarMass::NA + MolarMass::H + MolarMass::C + 3 * MolarMass::O);
        $dose = (((($target - $now) * $given->number('volume_l')) / 1000) * $mass) / MolarMass::CACO3;
        $count = (int) ceil(($target - $now) / $given->number('max_step_mg_l') - 1e-9);
        $steps = $count === 0 ? [] : array_fill(0, $count, $dose / $count);

        $temp = $given->number('temp_c');
        $ph = $given->number('ph');
        $before = new Carbonate($temp, $now);
        // An equivalent of bicarbonate brings a mole of carbon, one of carbonate half as much.
        $carbon = $before->totalCarbon($ph) + (($target - $now) / 1000 / MolarMass::CACO3) * ($soda ? 1.0 : 2.0);
        $after = new Carbonate($temp, $target);
        $closed = $after->phWithTotalCarbon($carbon);
        $aired = $after->phWithCo2(0.5);
        $tan = $given->number('tan_mg_l');
        $nh3Now = UnionisedAmmonia::of($tan, $ph, $temp)->nh3N;
        $nh3 = UnionisedAmmonia::of($tan, max($closed, $aired), $temp)->nh3N;

        $work = new Working();
        $work->step(
            'Grams for so much alkalinity.',
            'Δ × volume × ' . ($soda ? '105.99' : '168.01') . ' / 100.09',
            Format::number($target - $now) . ' mg/L, ' . Format::number($given->number('volume_l'), 5) . ' L',
            Format::number($dose, 4) . ' g',
        );
        $work->step(
            'In equal steps, one a day.',
            'Δ / most at once, rounded up',
            Format::number($given->number('max_step_mg_l')) . ' mg/L',
            $count . ($count === 1 ? ' step' : ' steps'),
        );
        $work->step(
            'pH right after, before any CO₂ is lost.',
            'alkalinity and carbon in balance',
            Format::number($ph) . ' before',
            Format::number($closed, 3),
        );
        $work->step(
            'pH once it is aired to 0.5 mg/L of CO₂.',
            'K1, K2',
            Format::number($target) . ' mg/L',
            Format::number($aired, 3),
        );
        if ($tan > 0) {
            $work->step(
                'Un-ionised ammonia at the higher of the two.',
                'TAN × share',
                Format::number($tan) . ' mg/L',
                Format::number($nh3, 3) . ' mg/L, from ' . Format::number($nh3Now, 3),
            );
        }
        $work->cite(
            'iupac-2007',
            'plummer-busenberg-1982',
            'water-ion-product',
            'davies-1962',
            'emerson-1975',
            'cp-alkalinity-fall',
        );
        if ($nh3 > $given->number('nh3_limit_mg_l') && $nh3 > $nh3Now) {
            $work->danger(Message::of('water.buffer_ph_rises_ammonia_burns'));
        }
        if ($soda) {
            $work->watch(Message::of('water.buffer_soda_lifts_ph_once'));
        } else {
            $work->note(Message::of('water.buffer_dissolve_bucket_system_water'));
        }

        return $work->result([
            'dose_g' => $dose,
            'steps' => $steps,
            'ph_after' => $closed,
            'ph_aired' => $aired,
            'nh3_n_now_mg_l' => $nh3Now,
            'nh3_n_after_mg_l' => $nh3,
        ]);
    }
}
