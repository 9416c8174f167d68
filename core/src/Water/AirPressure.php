<?php

declare(strict_types=1);

namespace Ironwort\Core\Water;

use Ironwort\Core\Calc\Given;
use Ironwort\Core\Calc\Input;
use Ironwort\Core\Calc\Working;
use Ironwort\Core\Measure\Format;

/**
 * The air pressure of a calculation, from altitude or from a barometer, never both.
 *
 * Sea level is assumed, and said to be, when neither is given.
 */
final readonly class AirPressure
{
    private function __construct(public float $atm, private ?float $altitudeM, private ?float $stationHpa) {}

    /** @return list<Input> */
    public static function inputs(): array
    {
        return [WaterInputs::altitude(), WaterInputs::stationPressure()];
    }

    public static function of(Given $given): self
    {
        $altitude = $given->numberOrNull('altitude_m');
        $station = $given->numberOrNull('pressure_hpa');

        return new self(
            $station !== null ? $station / Oxygen::HPA_PER_ATM : Oxygen::pressureAtAltitude($altitude ?? 0.0),
            $altitude,
            $station,
        );
    }

    public function explain(Working $work): void
    {
        if ($this->stationHpa !== null) {
            $work->step(
                'Air pressure from the barometer.',
                'P = hPa / 1013.25',
                Format::number($this->stationHpa, 5) . ' hPa',
                Format::number($this->atm, 5) . ' atm',
            );
        } elseif ($this->altitudeM !== null && abs($this->altitudeM) > 0) {
            $work->step(
                'Air pressure at this altitude.',
                'P = (1 − 2.25577e-5 h)^5.25588',
                'h = ' . Format::number($this->altitudeM) . ' m',
                Format::number($this->atm, 5) . ' atm',
            );
            $work->cite('standard-atmosphere');
        }
    }
}
