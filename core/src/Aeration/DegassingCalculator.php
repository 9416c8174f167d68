<?php

declare(strict_types=1);

namespace Ironwort\Core\Aeration;

use Ironwort\Core\Calc\Calculator;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Output;
use Ironwort\Core\Calc\Result;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Water\WaterInputs;
use Ironwort\Core\Words\Message;

/**
 * The CO2 and pH that a system settles at: what the fish give off against what surfaces drive out.
 *
 * CO2 leaves 0.9 times as readily as oxygen comes in; bubbles clear no more than fills them. Nothing
 * leaves below the 0.5 mg/L that stand in balance with air.
 *
 *     co2_g_d 120, alkalinity_mg_l 100, temp_c 20, surface_m2 10, devices [{"kind": "stone", "air_l_min": 60,
 *       "depth_m": 0.9}]  →  co2_mg_l 2.74, ph 7.86
 *
 * @see Device, Carbonate for formulas and sources
 *
 * @source degassing-from-memory
 */
final readonly class DegassingCalculator implements Calculator
{
    public const IN_AIR_MG_L = 0.5;

    /** CO2 against oxygen, by how fast they move through water. */
    private const AGAINST_OXYGEN = 0.9;

    public function __construct(private AerationInputs $aeration) {}

    public function name(): string
    {
        return 'carbonate.degas';
    }

    public function title(): string
    {
        return 'CO₂ and pH a system settles at';
    }

    public function inputs(): array
    {
        return [
            Input::number('co2_g_d', 'CO₂ given off', 'g/d', 0, 1e7),
            WaterInputs::alkalinity(),
            WaterInputs::temperature(),
            WaterInputs::salinity(),
            Input::number('change_l_d', 'Water changed', 'L/d', 0, 1e8)->or(0.0),
            ...$this->aeration->inputs(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('co2_mg_l', 'mg/L'),
            new Output('ph'),
            new Output('ph_aired'),
            new Output('clears_l_h', 'L/h'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $air = new Aeration(
            $this->aeration->devices($given, $temp),
            $given->number('surface_m2'),
            $temp,
            $given->number('salinity_g_l'),
        );
        $clears = self::AGAINST_OXYGEN * $air->co2Conductance + $given->number('change_l_d') / 24;
        $made = $given->number('co2_g_d') / 24;
        $co2 = $clears > 0 ? self::IN_AIR_MG_L + (1000 * $made) / $clears : null;
        $water = new Carbonate($temp, $given->number('alkalinity_mg_l'), $given->number('salinity_g_l'));

        $work = new Working();
        $work->step(
            'How much water is cleared of CO₂, in effect.',
            '0.9 × Σ k, bubbles no more than fills them, and what is changed',
            count($air->devices) . ' devices',
            Format::number($clears, 4) . ' L/h',
        );
        if ($co2 === null) {
            $work->danger(Message::of('aeration.degassing_nothing_drives_co_here'));
        } else {
            $work->step(
                'Where as much leaves as is given off.',
                '0.5 + CO₂ / cleared',
                Format::number($made) . ' g/h',
                Format::number($co2, 3) . ' mg/L',
            );
            $work->step(
                'The pH that stands in balance with it.',
                'K1, K2 at this alkalinity',
                Format::number($given->number('alkalinity_mg_l')) . ' mg/L',
                Format::number($water->phWithCo2($co2), 3),
            );
        }
        $work->cite('degassing-from-memory', 'aeration-from-memory', 'surface-reaeration', 'plummer-busenberg-1982');

        return $work->result([
            'co2_mg_l' => $co2,
            'ph' => $co2 === null ? null : $water->phWithCo2($co2),
            'ph_aired' => $water->phWithCo2(self::IN_AIR_MG_L),
            'clears_l_h' => $clears,
        ]);
    }
}
