<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

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
 * Heat for a body of water, the temperature after a change, and what a trickle takes to keep warm.
 *
 * What is given decides: a target gives heat (and, with hours, the heater); a change and its source
 * give the mix; a flow and its source give the trickle's watts. Losses to the air are not counted.
 *
 *     volume_l 1000, temp_c 15, target_c 20  →  heat_kwh 5.81
 *     flow_l_h 60, source_temp_c 10, temp_c 20  →  trickle_w 698
 *
 * @source water-heat
 */
final readonly class HeatCalculator implements Calculator
{
    /** Heat to warm a litre by a degree, J. */
    private const J_PER_L_K = 4186.0;

    public function name(): string
    {
        return 'exchange.heat';
    }

    public function title(): string
    {
        return 'Heat for water and changes';
    }

    public function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8)->optional(),
            Input::number('temp_c', 'Temperature now', '°C', 0, 40)->optional(),
            Input::number('target_c', 'Temperature wanted', '°C', 0, 40)->optional(),
            Input::number('hours', 'Within', 'h', 0.05, 10000)->optional(),
            Input::number('change_l', 'Water changed', 'L', 0, 1e8)->optional(),
            Input::number('source_temp_c', 'Temperature of the new water', '°C', 0, 60)->optional(),
            Input::number('flow_l_h', 'Trickle', 'L/h', 0, 1e6)->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            new Output('heat_kwh', 'kWh'),
            new Output('heater_w', 'W'),
            new Output('mix_temp_c', '°C'),
            new Output('trickle_w', 'W'),
        ];
    }

    public function calculate(Given $given): Result
    {
        $work = new Working();
        $mix = $given->has('change_l') ? $this->mix($given, $work) : null;
        $heat = $given->has('target_c') && $given->has('volume_l') ? $this->heat($given, $mix, $work) : null;
        $hours = $given->numberOrNull('hours');
        $heater = $heat === null || $hours === null ? null : (1000 * $heat) / $hours;
        if ($heater !== null) {
            $work->step(
                'The heater that does it in time, with nothing lost on the way.',
                'heat / hours',
                Format::number((float) $heat) . ' kWh in ' . Format::number((float) $hours) . ' h',
                Format::number($heater) . ' W',
            );
        }
        $trickle = $given->has('flow_l_h') ? $this->trickle($given, $work) : null;
        if ($mix === null && $heat === null && $trickle === null) {
            throw BadInput::at(
                'target_c',
                'Give a volume with a temperature wanted, or a change, or a trickle, to work something out.',
            );
        }
        $work->cite('water-heat');
        $work->note(Message::of('exchange.heat_walls_surface_air_carry'));
        if ($heater !== null && $heater > 0) {
            $work->note(Message::of('exchange.heat_heaters_near_water_go'));
        }

        return $work->result([
            'heat_kwh' => $heat,
            'heater_w' => $heater,
            'mix_temp_c' => $mix,
            'trickle_w' => $trickle,
        ]);
    }

    private function mix(Given $given, Working $work): float
    {
        $this->need($given, 'volume_l', 'temp_c', 'source_temp_c');
        $volume = $given->number('volume_l');
        $change = $given->number('change_l');
        if ($change > $volume) {
            throw BadInput::at('change_l', 'More is changed than there is.');
        }
        $mix = (($volume - $change) * $given->number('temp_c') + $change * $given->number('source_temp_c')) / $volume;
        $work->step(
            'Old and new water mixed.',
            '(kept × old + new × source) / volume',
            Format::number($volume - $change) .
                ' L at ' .
                Format::number($given->number('temp_c')) .
                ', ' .
                Format::number($change) .
                ' L at ' .
                Format::number($given->number('source_temp_c')) .
                ' °C',
            Format::number($mix) . ' °C',
        );

        return $mix;
    }

    private function heat(Given $given, ?float $mix, Working $work): float
    {
        $this->need($given, 'temp_c');
        $from = $mix ?? $given->number('temp_c');
        $heat = ($given->number('volume_l') * self::J_PER_L_K * ($given->number('target_c') - $from)) / 3.6e6;
        $work->step(
            'Heat to the temperature wanted.',
            'volume × 4186 J × rise / 3.6e6',
            Format::number($given->number('volume_l')) .
                ' L from ' .
                Format::number($from) .
                ' to ' .
                Format::number($given->number('target_c')) .
                ' °C',
            Format::number($heat) . ' kWh',
        );
        if ($heat < 0) {
            $work->note(Message::of('exchange.heat_cooling_figure_heat_taken'));
        }

        return $heat;
    }

    private function trickle(Given $given, Working $work): float
    {
        $this->need($given, 'source_temp_c');
        $kept =
            $given->numberOrNull('target_c') ??
            ($given->numberOrNull('temp_c') ?? throw BadInput::at('target_c', 'The temperature to be kept is needed.'));
        $watts = ($given->number('flow_l_h') * self::J_PER_L_K * ($kept - $given->number('source_temp_c'))) / 3600;
        $work->step(
            'Warming the trickle as it comes.',
            'flow × 4186 J × (kept − source) / 3600 s',
            Format::number($given->number('flow_l_h')) .
                ' L/h from ' .
                Format::number($given->number('source_temp_c')) .
                ' to ' .
                Format::number($kept) .
                ' °C',
            Format::number($watts) . ' W',
        );

        return $watts;
    }

    private function need(Given $given, string ...$keys): void
    {
        $labels = [
            'volume_l' => 'The volume',
            'temp_c' => 'The temperature now',
            'source_temp_c' => 'The temperature of the new water',
        ];
        $errors = [];
        foreach ($keys as $key) {
            if (!$given->has($key)) {
                $errors[$key] = "{$labels[$key]} is needed for this.";
            }
        }
        if ($errors !== []) {
            throw new BadInput($errors);
        }
    }
}
