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
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Water\UnionisedAmmonia;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * What opening a bag does: its CO2 goes off, its pH rises, and the ammonia that was harmless turns.
 *
 * Alkalinity stays; CO2 goes to what stands in aired water.
 *
 *     bag_ph 6.4, bag_tan_mg_l 8, alkalinity_mg_l 80, temp_c 20  →  co2_mg_l 64.0, nh3_n_in_bag_mg_l 0.008, ph_aired
 *       8.49, nh3_n_aired_mg_l 0.88, turns true
 *
 * @see Carbonate, UnionisedAmmonia for formulas, validity and sources
 *
 * @source cp-arrival
 */
final readonly class BagCalculator implements Calculator
{
    /** What CO2 stands at in aired water, mg/L. */
    private const AIRED_CO2_MG_L = 0.5;

    public function name(): string
    {
        return 'arrival.bag';
    }

    public function title(): string
    {
        return 'What opening a bag does';
    }

    public function inputs(): array
    {
        return [
            Input::number('bag_ph', 'pH of the bag', null, 5, 9.5),
            Input::number('bag_tan_mg_l', 'Total ammonia of the bag', 'mg/L as N', 0, 200),
            WaterInputs::alkalinity(),
            WaterInputs::temperature(),
            Input::number('nh3_limit_mg_l', 'Most un-ionised ammonia', 'mg/L as N', 0.001, 1)->or(0.02),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('co2_mg_l', 'mg/L'),
            new Output('nh3_n_in_bag_mg_l', 'mg/L as N'),
            new Output('ph_aired'),
            new Output('nh3_n_aired_mg_l', 'mg/L as N'),
            new Output('turns'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $ph = $given->number('bag_ph');
        $tan = $given->number('bag_tan_mg_l');
        $temp = $given->number('temp_c');
        $carbonate = new Carbonate($temp, $given->number('alkalinity_mg_l'));
        $co2 = $carbonate->co2($ph);
        $inBag = UnionisedAmmonia::of($tan, $ph, $temp)->nh3N;
        // Air takes CO2 out and puts none in: a bag that has less stays as it is.
        $aired = $co2 <= self::AIRED_CO2_MG_L ? $ph : $carbonate->phWithCo2(self::AIRED_CO2_MG_L);
        $after = UnionisedAmmonia::of($tan, $aired, $temp)->nh3N;
        $limit = $given->number('nh3_limit_mg_l');

        $work = new Working();
        $work->step(
            'CO₂ that the fish breathed into the closed bag, from its pH and alkalinity.',
            '{H} γ [HCO₃] / K1',
            'pH ' . Format::number($ph) . ', alkalinity ' . Format::number($given->number('alkalinity_mg_l')) . ' mg/L',
            Format::number($co2) . ' mg/L',
        );
        $work->step(
            'At that pH little of its ammonia is un-ionised.',
            'TAN / (1 + 10^(pKa − pH))',
            Format::number($tan) . ' mg/L as N',
            Format::number($inBag, 3) . ' mg/L as N',
        );
        $work->step(
            'Opened and aired: CO₂ goes to 0.5 mg/L, and the pH up.',
            'pH where CO₂ is 0.5',
            '',
            'pH ' . Format::number($aired, 3),
        );
        $work->step(
            'And the same ammonia turns.',
            'TAN / (1 + 10^(pKa − pH))',
            'pH ' . Format::number($aired, 3),
            Format::number($after, 3) . ' mg/L as N',
        );
        $work->cite('plummer-busenberg-1982', 'water-ion-product', 'davies-1962', 'emerson-1975', 'cp-arrival');
        match (true) {
            $after > $limit => $work->danger(
                Message::of('arrival.bag_turns', [
                    'ph' => Format::number($aired, 2),
                    'nh3' => Format::number($after, 3),
                    'limit' => Format::number($limit),
                ]),
            ),
            default => $work->note(Message::of('arrival.bag_holds')),
        };

        return $work->result([
            'co2_mg_l' => $co2,
            'nh3_n_in_bag_mg_l' => $inBag,
            'ph_aired' => $aired,
            'nh3_n_aired_mg_l' => $after,
            'turns' => $after > $limit,
        ]);
    }
}
