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
 * Where the heat of a small system goes: walls, surface and trickle, and what a heater must make good.
 *
 * Walls lose U A (water − air), an open surface about 20 W/m²K with what evaporates from it, covered a quarter
 * of that; the trickle 4,186 J/L for each degree it is colder. A coil in the shed's air warms the incoming
 * water towards it by 1 − exp(−U A / (flow c)).
 *
 *     volume_l 600, temp_c 22, air_c 10, surface_m2 0.95, walls_m2 3, flow_l_h 6, source_temp_c 11, heater_w
 *       300  →  needed_w 521, holds_c 17.0, falls_c_h 0.746
 *
 * @source heat-losses-from-memory
 */
final readonly class HeatBalanceCalculator implements Calculator
{
    private const HEAT_J_L = 4186.0;

    private const OPEN_W_M2K = 20.0;

    private const COVERED_W_M2K = 5.0;

    /** Of a plain plastic or metal coil in still air, W/m²K. */
    private const COIL_W_M2K = 8.0;

    private const WALLS = ['plastic' => 6.0, 'concrete' => 4.0, 'insulated' => 1.0];

    public function name(): string
    {
        return 'exchange.heat_balance';
    }

    public function title(): string
    {
        return 'Where the heat goes';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('temp_c', 'Temperature to hold', '°C', 0, 40),
            Input::number('air_c', 'Air in the shed', '°C', -30, 45),
            Input::number('surface_m2', 'Open surface', 'm²', 0, 1e6),
            Input::choice('covered', 'Covered', ['yes', 'no'])->or('no'),
            Input::number('walls_m2', 'Walls and floor', 'm²', 0, 1e6),
            Input::choice('walls', 'They are', array_keys(self::WALLS))->or('plastic'),
            Input::number('flow_l_h', 'New water that runs in', 'L/h', 0, 1e6)->or(0.0),
            Input::number('source_temp_c', 'Temperature of the new water', '°C', 0, 60)->optional(),
            Input::number('coil_m2', 'Coil that warms it, outside', 'm²', 0, 100)->or(0.0),
            Input::number('heater_w', 'Heater', 'W', 0, 1e6)->optional(),
            Input::number('to_c', 'Until it stands at, unheated', '°C', 0, 40)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('walls_w', 'W'),
            new Output('surface_w', 'W'),
            new Output('trickle_w', 'W'),
            new Output('needed_w', 'W'),
            new Output('comes_in_c', '°C'),
            new Output('coil_w', 'W'),
            new Output('trickle_share_pct', '%'),
            new Output('heater_share_pct', '%'),
            new Output('holds_c', '°C'),
            new Output('without_heater_c', '°C'),
            new Output('falls_c_h', '°C/h'),
            new Output('kwh_d', 'kWh'),
            new Output('hours_to_c', 'h'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $temp = $given->number('temp_c');
        $air = $given->number('air_c');
        $flow = $given->number('flow_l_h');
        $source = $given->numberOrNull('source_temp_c') ?? $temp;
        $carries = ($flow * self::HEAT_J_L) / 3600;
        $warmed = $carries > 0 ? 1 - exp((-self::COIL_W_M2K * $given->number('coil_m2')) / $carries) : 0.0;
        $in = $source + $warmed * ($air - $source);
        $walls = self::WALLS[$given->text('walls')] * $given->number('walls_m2');
        $surface =
            ($given->text('covered') === 'yes' ? self::COVERED_W_M2K : self::OPEN_W_M2K) * $given->number('surface_m2');
        $lost = [
            'walls' => $walls * ($temp - $air),
            'surface' => $surface * ($temp - $air),
            'trickle' => $carries * ($temp - $in),
        ];
        $needed = array_sum($lost);
        $all = $walls + $surface + $carries;
        // Water at rest stays at nothing until it has frozen.
        $rests = $all > 0 ? max(0.0, (($walls + $surface) * $air + $carries * $in) / $all) : $temp;
        $target = $given->numberOrNull('to_c');
        $hours = $target === null ? null : self::hours($given->number('volume_l'), $temp, $target, $rests, $all);
        $heater = $given->numberOrNull('heater_w');

        $work = new Working();
        $work->step(
            'Through walls and floor.',
            'U × A × (water − air)',
            Format::number(self::WALLS[$given->text('walls')]) .
                ' W/m²K × ' .
                Format::number($given->number('walls_m2')) .
                ' m² × ' .
                Format::number($temp - $air) .
                ' °C',
            Format::number($lost['walls']) . ' W',
        );
        $work->step(
            'From the surface.',
            'h × A × (water − air)',
            ($given->text('covered') === 'yes' ? '5' : '20') .
                ' W/m²K × ' .
                Format::number($given->number('surface_m2')) .
                ' m²',
            Format::number($lost['surface']) . ' W',
        );
        if ($given->number('coil_m2') > 0) {
            $work->step(
                'The coil warms what comes in towards the air.',
                'source + (air − source)(1 − e^(−8 A / flow c))',
                Format::number($given->number('coil_m2')) . ' m² of coil',
                Format::number($in, 3) . ' °C',
            );
        }
        $work->step(
            'Warming the new water.',
            'flow × 4,186 / 3,600 × (water − incoming)',
            Format::number($flow) . ' L/h × ' . Format::number($temp - $in) . ' °C',
            Format::number($lost['trickle']) . ' W',
        );
        $work->step(
            'With no heater it comes to rest here.',
            'Σ W/K × T / Σ W/K',
            Format::number($all) . ' W/K in all',
            Format::number($rests, 3) . ' °C',
        );
        $work->cite('heat-losses-from-memory', 'water-heat');
        $work->note(Message::of('exchange.heat_balance_walls_surface_rules_thumb'));
        if ($heater !== null && $needed > $heater) {
            $work->watch(Message::of('exchange.heat_balance_heater_cannot_hold_less'));
        }
        if ($flow > 0 && $given->numberOrNull('source_temp_c') === null) {
            $work->watch(Message::of('exchange.heat_balance_temperature_new_water_known'));
        }

        return $work->result([
            'walls_w' => $lost['walls'],
            'surface_w' => $lost['surface'],
            'trickle_w' => $lost['trickle'],
            'needed_w' => $needed,
            'comes_in_c' => $in,
            'coil_w' => $carries * ($in - $source),
            'trickle_share_pct' => $needed > 0 ? (100 * max(0.0, $lost['trickle'])) / $needed : null,
            'heater_share_pct' => $heater > 0 ? (100 * max(0.0, $needed)) / $heater : null,
            'holds_c' => $heater === null || $all <= 0 ? null : $rests + $heater / $all,
            'without_heater_c' => $rests,
            'falls_c_h' => (max(0.0, $needed) * 3600) / (self::HEAT_J_L * $given->number('volume_l')),
            'kwh_d' => 0.024 * max(0.0, $needed),
            'hours_to_c' => $hours,
        ]);
    }

    /**
     * Hours until unheated water stands at a temperature, under air that stays as it is: τ ln((T₀ − Teq)/(T − Teq)).
     *
     * @param  float  $rests  °C it comes to rest at
     * @param  float  $perK  W/K in all
     * @return ?float null where it never does
     */
    private static function hours(float $volumeL, float $from, float $to, float $rests, float $perK): ?float
    {
        if ($perK <= 0 || ($from - $rests) * ($to - $rests) <= 0 || abs($to - $rests) > abs($from - $rests)) {
            return abs($from - $to) < 1e-9 ? 0.0 : null;
        }

        return (((self::HEAT_J_L * $volumeL) / $perK) * log(($from - $rests) / ($to - $rests))) / 3600;
    }
}
