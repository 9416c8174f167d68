<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Judge\State;

/**
 * Clean readings against a reckoning that a filter is overloaded.
 *
 * A filter that could not take its load would show it within a day: where ammonia and nitrite were both read clean not
 * long ago, and the load had stood for a day by then, more lives in it than is reckoned. It is watched, and not acted
 * on, until readings say otherwise.
 *
 * @source cp-clean-weeks  clean is at most 0.25 mg/L as N at the worse end
 */
final class Evidence
{
    /** A pair of readings speaks for so long, hours. Common practice, no source. */
    public const SPEAKS_H = 72.0;

    /** And only of a load that had stood so long by then, hours. Common practice, no source. */
    public const LOADED_H = 24.0;

    /**
     * @param  float  $agoH  the older of the two
     * @param  float  $loadedH  hours for which the load had stood when it was read
     */
    public static function contradicts(
        State $reckoned,
        ?float $ammoniaHigh,
        ?float $nitriteHigh,
        float $agoH,
        float $loadedH,
    ): bool {
        return $reckoned->worseThan(State::Watch) &&
            $ammoniaHigh !== null &&
            $nitriteHigh !== null &&
            max($ammoniaHigh, $nitriteHigh) <= CleanWeeks::CLEAN_MG_L + 1e-9 &&
            $agoH <= self::SPEAKS_H &&
            $loadedH >= self::LOADED_H;
    }
}
