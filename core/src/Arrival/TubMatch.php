<?php

declare(strict_types=1);

namespace Ironwort\Core\Arrival;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Measure\MolarMass;
use Ironwort\Core\Words\Message;

/**
 * What makes the water of the tub like that of the bag, before the fish go in: heat, salt, and new water without
 * nitrate. It is brought back to ours over days.
 *
 * °C, g/L, mg/L as N, L.
 */
final readonly class TubMatch
{
    /** 4.186 kJ a litre and °C, in kWh. */
    private const KWH_PER_L_C = 0.0011628;

    /** The heater has a day. */
    private const WITHIN_H = 24.0;

    /** Less salt than this apart needs no match, g/L. */
    private const SALT_APART = 1.0;

    /**
     * @param  array<string, float>  $their  of `temp_c`, `salinity_g_l`, `no3_n_mg_l` what is known
     * @param  array<string, float>  $ours
     * @param  list<string>  $far  what is more apart than fish stand in a day
     * @param  float  $litres  of the tub, or of the system where they share its water
     * @return list<Message> in the order of the deeds
     */
    public static function says(array $their, array $ours, array $far, float $litres): array
    {
        $says = [];
        $apart = static fn(string $key): ?float => isset($their[$key], $ours[$key]) ? $their[$key] - $ours[$key] : null;
        $nitrate = $apart('no3_n_mg_l');
        if (in_array('no3_n_mg_l', $far, true) && $nitrate !== null && $nitrate < 0) {
            // So much of it is new water that what is left has come down to what they bring and stand.
            $aim = $their['no3_n_mg_l'] + AcclimatiseCalculator::A_DAY['no3_n_mg_l'];
            $share = 1 - $aim / $ours['no3_n_mg_l'];
            $says[] = Message::of('arrival.tub_nitrate', [
                'litres' => Format::about($share * $litres, 3),
                'pct' => Format::about(100 * $share, 2),
                'to' => Format::number($aim * MolarMass::NO3_PER_N, 2),
            ]);
        }
        $warmer = $apart('temp_c');
        if (in_array('temp_c', $far, true) && $warmer !== null) {
            $kwh = self::KWH_PER_L_C * $litres * abs($warmer);
            $says[] =
                $warmer > 0
                    ? Message::of('arrival.tub_heat', [
                        'to' => Format::number($their['temp_c']),
                        'kwh' => Format::about($kwh, 2),
                        'watts' => Format::about((1000 * $kwh) / self::WITHIN_H, 2),
                    ])
                    : Message::of('arrival.tub_cool', ['to' => Format::number($their['temp_c'])]);
        }
        $saltier = $apart('salinity_g_l');
        if ($saltier !== null && $saltier > self::SALT_APART) {
            $says[] = Message::of('arrival.tub_salt', [
                'grams' => Format::about($saltier * $litres, 3),
                'litres' => Format::about($litres, 4),
                'to' => Format::number($their['salinity_g_l']),
            ]);
        }

        return $says;
    }
}
