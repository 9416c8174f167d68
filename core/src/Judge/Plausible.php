<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\AssumedWater;
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Words\Message;

/**
 * What a round of readings makes one ask: far from the last, or hardly possible together. Asked, never refused.
 *
 * @source cp-plausible
 */
final readonly class Plausible
{
    /** By how much a reading may differ from the last before it is asked about, canonical units. */
    private const FAR = [
        'tan_mg_l' => 1.0,
        'no2_n_mg_l' => 1.0,
        'no3_n_mg_l' => 8.0,
        'ph' => 0.8,
        'temp_c' => 6.0,
        'do_mg_l' => 4.0,
        'alkalinity_mg_l' => 54.0,
        'hardness_mg_l' => 90.0,
        'salinity_g_l' => 2.0,
        'redox_mv' => 150.0,
    ];

    /**
     * @param  array<string, Reading>  $typed  by parameter
     * @param  array<string, Reading>  $last  what the book had before
     * @param  bool  $softened  whether the water it is filled from comes through a softener
     * @return array<string, Message> a question by parameter
     */
    public static function ask(array $typed, array $last, ?float $saturationPct, bool $softened = false): array
    {
        $asks = [];
        foreach ($typed as $key => $reading) {
            $before = $last[$key] ?? null;
            $far = self::FAR[$key] ?? null;
            if ($before !== null && $far !== null && abs($reading->value - $before->value) > $far) {
                $unit = $reading->parameter->symbol();
                $asks[$key] = Message::of('judge.asks_far_from_last', [
                    'last' =>
                        Format::number($reading->parameter->shown($before->value), 3) .
                        ($unit === null ? '' : " {$unit}"),
                ]);
            }
        }
        $value = static fn(Parameter $parameter): ?float => isset($typed[$parameter->value])
            ? $typed[$parameter->value]->value
            : null;
        if (
            isset($typed['no2_n_mg_l']) &&
            $typed['no2_n_mg_l']->value >= 1 &&
            $value(Parameter::Ammonia) !== null &&
            $value(Parameter::Ammonia) < 0.05 &&
            $value(Parameter::Nitrate) !== null &&
            $value(Parameter::Nitrate) < 0.5
        ) {
            $asks['no2_n_mg_l'] = Message::of('judge.asks_nitrite_alone');
        }
        if ($saturationPct !== null && isset($typed['do_mg_l']) && $saturationPct > 150) {
            $asks['do_mg_l'] = Message::of('judge.asks_oxygen_over', ['pct' => Format::number($saturationPct, 3)]);
        }
        if (
            !$softened &&
            $value(Parameter::Alkalinity) !== null &&
            $value(Parameter::Hardness) !== null &&
            $value(Parameter::Alkalinity) > 1.5 * $value(Parameter::Hardness) + 18
        ) {
            $asks['alkalinity_mg_l'] = Message::of('judge.asks_kh_above_gh');
        }
        if ($value(Parameter::Ph) !== null && $value(Parameter::Alkalinity) !== null) {
            $co2 = (new Carbonate(
                $value(Parameter::Temperature) ?? AssumedWater::TEMPERATURE_C,
                $value(Parameter::Alkalinity),
            ))->co2($value(Parameter::Ph));
            if ($co2 > 60) {
                $asks['ph'] = Message::of('judge.asks_carbon_dioxide', ['co2' => Format::number($co2, 2)]);
            }
        }

        return $asks;
    }
}
