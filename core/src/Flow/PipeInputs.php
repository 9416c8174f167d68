<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Water\WaterInputs;

/** The inputs that describe a line of pipe, and the pipe they make. */
final readonly class PipeInputs
{
    public static function flow(): Input
    {
        return Input::number('flow_l_h', 'Flow', 'L/h', 1, 1e7);
    }

    /** @return list<Input> bore, length and fittings of one line */
    public static function line(): array
    {
        return [
            Input::number('bore_mm', 'Bore', 'mm', 4, 1000),
            Input::number('length_m', 'Length', 'm', 0, 1000),
            Input::number('fittings_k', 'Fittings, sum of K, entry and exit counted', null, 0, 10000),
        ];
    }

    /** @return list<Input> what holds for all lines of a calculation */
    public static function wallAndWater(): array
    {
        return [
            Input::number('roughness_mm', 'Roughness of the wall', 'mm', 0, 5)->or(0.0015),
            WaterInputs::temperature()->or(20.0),
        ];
    }

    /** @param  ?Given  $common  where roughness and temperature are given, when not with the line itself */
    public static function pipe(Given $line, ?Given $common = null, float $extraK = 0.0): Pipe
    {
        $common ??= $line;

        return new Pipe(
            $line->number('bore_mm') / 1000,
            $line->number('length_m'),
            $line->number('fittings_k') + $extraK,
            $common->number('roughness_mm') / 1000,
            $common->number('temp_c'),
        );
    }

    public static function m3s(float $litresPerHour): float
    {
        return $litresPerHour / 3.6e6;
    }

    public static function litresPerHour(float $m3s): float
    {
        return 3.6e6 * $m3s;
    }
}
