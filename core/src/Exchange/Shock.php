<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * The most that water may move at once and in a day before it shocks fish, in either direction.
 *
 * Canonical units: °C, pH, mg/L as N, mg/L as CaCO3, g/L.
 *
 * @source cp-shock  2 °C, 0.3 pH, 40 mg/L of nitrate, 3 dKH, 4 dGH, 1 g/L of salt
 */
final readonly class Shock
{
    public const A_DAY = [
        'temp_c' => 2.0,
        'ph' => 0.3,
        'no3_n_mg_l' => 9.0358,
        'alkalinity_mg_l' => 53.54,
        'hardness_mg_l' => 71.39,
        'salinity_g_l' => 1.0,
    ];
}
