<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Filter\ArealRate;
use Ironwort\Core\Filter\Colony;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Water\UnionisedAmmonia;

/**
 * How the water and its bacteria move: the right-hand sides of the model.
 *
 * State: TAN, NO2-N, NO3-N in mg/L as N, alkalinity in mg/L as CaCO3, X1 and X2 in mg N/L/d at 20 °C, and
 * what was loaded and exchanged, mg N/L, by which the balance of nitrogen is closed.
 *
 *     s1 = TAN/(K1+TAN) · DO/(0.5+DO) · alk/(15+alk);  s2 = NO2/(K2+NO2) · DO/(1+DO) / (1+NH3N/KI)
 *     r = X s 1.09^(T−20);  dX = [mu s (1−X/Xmax) − b] X 1.09^(T−25)
 *     dTAN = P − r1 + q (Cs − TAN);  dNO2 = r1 − r2 + q (…);  dNO3 = r2 + q (…);  dalk = 3.57 P − 7.14 r1 + q (…)
 *
 * @source model-calibrated
 */
final readonly class Kinetics
{
    public const TAN = 0;

    public const NO2 = 1;

    public const NO3 = 2;

    public const ALK = 3;

    public const X1 = 4;

    public const X2 = 5;

    public const LOADED = 6;

    public const EXCHANGED = 7;

    /** Ammonia at which its oxidisers work half as hard as they could, mg/L as N. */
    public const K1 = 0.7;

    private const K2 = 0.5;

    private const KI = 0.5;

    /**
     * @param  list<float>  $y
     * @return list<float>
     */
    public static function rates(array $y, ModelParameters $p): array
    {
        [$tan, $no2, $no3, $alk] = [
            max(0.0, $y[self::TAN]),
            max(0.0, $y[self::NO2]),
            max(0.0, $y[self::NO3]),
            max(0.0, $y[self::ALK]),
        ];
        $nh3 = $tan * UnionisedAmmonia::of(1.0, $p->ph, $p->tempC, $p->salinity)->fraction;
        $s1 = (((($tan / (self::K1 + $tan)) * $p->oxygen) / (0.5 + $p->oxygen)) * $alk) / (15 + $alk);
        $s2 = (($no2 / (self::K2 + $no2)) * $p->oxygen) / (1 + $p->oxygen) / (1 + $nh3 / self::KI);
        $warm = ArealRate::THETA ** ($p->tempC - 20);
        $growth = ArealRate::THETA ** ($p->tempC - 25);
        $r1 = $y[self::X1] * $s1 * $warm;
        $r2 = $y[self::X2] * $s2 * $warm;
        $room = static fn(float $x): float => $p->xMax > 0 ? 1 - $x / $p->xMax : 0.0;
        $comes = static fn(string $key, float $now): float => $p->flow * (($p->source[$key] ?? 0.0) - $now);

        return [
            $p->load - $r1 + $comes('tan_mg_l', $y[self::TAN]),
            $r1 - $r2 + $comes('no2_n_mg_l', $y[self::NO2]),
            $r2 + $comes('no3_n_mg_l', $y[self::NO3]),
            DailyLoad::NET_ALKALINITY_PER_N * $p->load -
            DailyLoad::ALKALINITY_PER_N * $r1 +
            $comes('alkalinity_mg_l', $y[self::ALK]),
            (Colony::MU1 * $s1 * $room($y[self::X1]) - Colony::B1) * $y[self::X1] * $growth,
            (Colony::MU2 * $s2 * $room($y[self::X2]) - Colony::B2) * $y[self::X2] * $growth,
            $p->load,
            $comes('tan_mg_l', $y[self::TAN]) +
            $comes('no2_n_mg_l', $y[self::NO2]) +
            $comes('no3_n_mg_l', $y[self::NO3]),
        ];
    }
}
