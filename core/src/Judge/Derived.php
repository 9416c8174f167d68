<?php

declare(strict_types=1);

namespace Ironwort\Core\Judge;

use Ironwort\Core\Measure\Interval;
use Ironwort\Core\Water\Carbonate;
use Ironwort\Core\Water\Oxygen;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * Figures that follow from several readings, with the uncertainty of all of them.
 *
 * Each rises or falls throughout with each of its readings, so the ends of the interval are ends of the readings.
 */
final readonly class Derived
{
    public static function unionisedAmmonia(
        Reading $ammonia,
        Reading $ph,
        Reading $temperature,
        float $salinityGL,
    ): Reading {
        $at = static fn(float $tan, float $acidity, float $temp): float => UnionisedAmmonia::of(
            $tan,
            $acidity,
            $temp,
            $salinityGL,
        )->nh3N;

        return new Reading(
            Parameter::UnionisedAmmonia,
            $at($ammonia->value, $ph->value, $temperature->value),
            Interval::between(
                $at($ammonia->interval->low, $ph->interval->low, $temperature->interval->low),
                $at($ammonia->interval->high, $ph->interval->high, $temperature->interval->high),
            ),
        );
    }

    public static function oxygenSaturation(
        Reading $oxygen,
        Reading $temperature,
        float $salinityGL,
        float $altitudeM,
    ): Reading {
        $pressure = Oxygen::pressureAtAltitude($altitudeM);
        $at = static fn(float $do, float $temp): float => (100 * $do) /
            Oxygen::saturation($temp, $salinityGL, $pressure);

        return new Reading(
            Parameter::OxygenSaturation,
            $at($oxygen->value, $temperature->value),
            Interval::between(
                $at($oxygen->interval->low, $temperature->interval->low),
                $at($oxygen->interval->high, $temperature->interval->high),
            ),
        );
    }

    public static function carbonDioxide(
        Reading $ph,
        Reading $alkalinity,
        Reading $temperature,
        float $salinityGL,
    ): Reading {
        $at = static fn(float $acidity, float $alk, float $temp): float => max(
            0.0,
            (new Carbonate($temp, $alk, $salinityGL))->co2($acidity),
        );
        $low = $at($ph->interval->high, $alkalinity->interval->low, $temperature->interval->high);

        return new Reading(
            Parameter::CarbonDioxide,
            $at($ph->value, $alkalinity->value, $temperature->value),
            Interval::between(
                $low,
                max($low, $at($ph->interval->low, $alkalinity->interval->high, $temperature->interval->low)),
            ),
        );
    }
}
