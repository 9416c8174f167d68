<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Format;
use Ironwort\Core\Water\Carbonate;

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
     * @return array<string, string> a question by parameter
     */
    public static function ask(array $typed, array $last, ?float $saturationPct, bool $softened = false): array
    {
        $asks = [];
        foreach ($typed as $key => $reading) {
            $before = $last[$key] ?? null;
            $far = self::FAR[$key] ?? null;
            if ($before !== null && $far !== null && abs($reading->value - $before->value) > $far) {
                $unit = $reading->parameter->symbol();
                $asks[$key] =
                    'The last was ' .
                    Format::number($reading->parameter->shown($before->value), 3) .
                    ($unit === null ? '' : " {$unit}") .
                    '. Is this right?';
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
            $asks['no2_n_mg_l'] = 'So much nitrite with neither ammonia nor nitrate is hardly possible: read it again.';
        }
        if ($saturationPct !== null && isset($typed['do_mg_l']) && $saturationPct > 150) {
            $asks['do_mg_l'] =
                'That is ' .
                Format::number($saturationPct, 3) .
                ' % of what the water can hold. Is the probe dry, or the temperature wrong?';
        }
        if (
            !$softened &&
            $value(Parameter::Alkalinity) !== null &&
            $value(Parameter::Hardness) !== null &&
            $value(Parameter::Alkalinity) > 1.5 * $value(Parameter::Hardness) + 18
        ) {
            $asks['alkalinity_mg_l'] =
                'KH stands far above GH. That is so behind a softener, and none is on the shelf ' .
                'for this water: was one of them misread?';
        }
        if ($value(Parameter::Ph) !== null && $value(Parameter::Alkalinity) !== null) {
            $co2 = (new Carbonate($value(Parameter::Temperature) ?? 20.0, $value(Parameter::Alkalinity)))->co2(
                $value(Parameter::Ph),
            );
            if ($co2 > 60) {
                $asks['ph'] =
                    'With this KH that would mean ' . Format::number($co2, 2) . ' mg/L of CO₂. Read pH and KH again.';
            }
        }

        return $asks;
    }
}
