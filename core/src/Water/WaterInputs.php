<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\Input;

/** Inputs that many calculators share, declared once so that their ranges agree everywhere. */
final readonly class WaterInputs
{
    public static function temperature(): Input
    {
        return Input::number('temp_c', 'Temperature', '°C', 0, 40);
    }

    public static function ph(): Input
    {
        return Input::number('ph', 'pH', null, 4, 11);
    }

    public static function tan(): Input
    {
        return Input::number('tan_mg_l', 'Total ammonia', 'mg/L as N', 0, 1000);
    }

    public static function salinity(): Input
    {
        return Input::number('salinity_g_l', 'Salinity', 'g/L', 0, 40)->or(0.0);
    }

    public static function alkalinity(): Input
    {
        return Input::number('alkalinity_mg_l', 'Alkalinity', 'mg/L as CaCO₃', 0, 1000);
    }

    /** From below the lowest shore to well above the highest fish house. */
    public static function altitude(): Input
    {
        return Input::number('altitude_m', 'Altitude', 'm', -430, 5000)->or(0.0);
    }

    /** As a barometer on the spot shows it, not reduced to sea level. */
    public static function stationPressure(): Input
    {
        return Input::number('pressure_hpa', 'Station pressure', 'hPa', 500, 1100)->insteadOf('altitude_m');
    }
}
