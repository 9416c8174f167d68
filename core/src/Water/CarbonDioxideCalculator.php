<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\Quantity;
use Ironwort\Core\Measure\Unit;
use Ironwort\Core\Words\Message;

/**
 * Dissolved CO2 from pH and alkalinity, beside the keepers' rule of thumb.
 *
 *     ph 7.5, alkalinity_mg_l 100, temp_c 20  →  co2_mg_l 6.29
 *
 * @see Carbonate for formulas, validity and sources
 *
 * @source cp-co2-rule  3 × dKH × 10^(7 − pH)
 */
final readonly class CarbonDioxideCalculator implements Calculator
{
    /** Above this koi breathe hard, mg/L. */
    private const WATCH = 20.0;

    public function name(): string
    {
        return 'carbonate.co2';
    }

    public function title(): string
    {
        return 'Dissolved CO₂ from pH and alkalinity';
    }

    public function inputs(): array
    {
        return [WaterInputs::ph(), WaterInputs::alkalinity(), WaterInputs::temperature(), WaterInputs::salinity()];
    }

    public function outputs(): array
    {
        return [new Output('co2_mg_l', 'mg/L'), new Output('co2_rule_mg_l', 'mg/L')];
    }

    public function calculate(Given $given): Result
    {
        $ph = $given->number('ph');
        $alkalinity = $given->number('alkalinity_mg_l');
        $co2 = (new Carbonate($given->number('temp_c'), $alkalinity, $given->number('salinity_g_l')))->co2($ph);
        $dkh = Unit::CarbonateDegree->fromCanonical($alkalinity, Quantity::Alkalinity);
        $rule = 3 * $dkh * 10 ** (7 - $ph);

        $work = new Working();
        $work->step(
            'CO₂ in balance with pH and bicarbonate at this temperature; carbonate and hydroxide taken off first.',
            '{H} γ [HCO₃] / K1',
            'pH ' .
                Format::number($ph) .
                ', alkalinity ' .
                Format::number($alkalinity) .
                ' mg/L, ' .
                Format::number($given->number('temp_c')) .
                ' °C',
            Format::number($co2) . ' mg/L',
        );
        $work->step(
            'The rule of thumb, which reads low: by about 40 % at 5 °C, 15 % at 20 °C, 5 % at 30 °C.',
            '3 × dKH × 10^(7 − pH)',
            Format::number($dkh) . ' dKH',
            Format::number($rule) . ' mg/L',
        );
        $work->cite('plummer-busenberg-1982', 'water-ion-product', 'davies-1962', 'cp-co2-rule');
        if ($co2 > self::WATCH) {
            $work->watch(Message::of('water.carbon_dioxide_above_20_mg_koi'));
            $work->cite('co2-limit');
        }

        return $work->result(['co2_mg_l' => $co2, 'co2_rule_mg_l' => $rule]);
    }
}
