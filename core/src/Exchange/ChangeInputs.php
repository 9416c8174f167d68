<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

use Ironwort\Core\Calc\BadInput;
use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** One change of water as calculators take it, and what a change of it does to fish. */
final readonly class ChangeInputs
{
    /** @return list<Input> */
    public static function inputs(): array
    {
        return [
            Input::number('volume_l', 'Volume', 'L', 1, 1e8),
            Input::number('change_l', 'Water changed', 'L', 0, 1e8)->optional(),
            Input::number('change_pct', 'Water changed', '%', 0, 100)->insteadOf('change_l'),
            WaterMix::input('now', 'The system now'),
            WaterMix::input('source', 'New water'),
        ];
    }

    /** Share of the water that is changed, 0 to 1. */
    public static function share(Given $given): float
    {
        $litres = $given->numberOrNull('change_l');
        $percent = $given->numberOrNull('change_pct');
        if ($litres === null && $percent === null) {
            throw BadInput::at('change_l', 'Say how much is changed.');
        }
        if ($litres !== null && $litres > $given->number('volume_l')) {
            throw BadInput::at(
                'change_l',
                'No more can be changed than the volume: ' . Format::number($given->number('volume_l'), 5) . ' L.',
            );
        }

        return $litres === null ? $percent / 100 : $litres / $given->number('volume_l');
    }

    /** @see Shock */
    public static function warn(Working $work, WaterMix $now, WaterMix $source, WaterMix $after): void
    {
        $by = static fn(string $key): float => ($after->values[$key] ?? 0.0) - ($now->values[$key] ?? 0.0);
        if (($source->values['temp_c'] ?? 0.0) - ($now->values['temp_c'] ?? INF) >= NewWater::SCALDS_C) {
            $work->danger(Message::of('exchange.change_inputs_new_water_hotter_cool'));
        }
        if (abs($by('temp_c')) > Shock::A_DAY['temp_c']) {
            $work->watch(
                Message::of('exchange.change_inputs_temperature_moves_once_shock', [
                    'value' => Format::number(abs($by('temp_c')), 2),
                ]),
            );
        }
        if (abs($by('ph')) > Shock::A_DAY['ph']) {
            $work->watch(
                Message::of('exchange.change_inputs_ph_moves_once_shock', [
                    'value' => Format::number(abs($by('ph')), 2),
                ]),
            );
        }
        if (abs($by('no3_n_mg_l')) > Shock::A_DAY['no3_n_mg_l']) {
            $work->watch(Message::of('exchange.change_inputs_nitrate_moves_40_mg'));
        }
        foreach (['alkalinity_mg_l' => 'KH', 'hardness_mg_l' => 'GH', 'salinity_g_l' => 'Salt'] as $key => $name) {
            if (abs($by($key)) > Shock::A_DAY[$key]) {
                $work->watch(Message::of('exchange.change_inputs_moves_days_worth_once', ['name' => $name]));
            }
        }
        $work->cite('cp-shock', 'mass-balance');
    }
}
