<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

use Ironwort\Core\Filter\Colony;
use Ironwort\Core\Fish\DailyLoad;

/**
 * How the water and its bacteria move: the right-hand sides of the model.
 *
 * State: TAN, NO2-N, NO3-N in mg/L as N, alkalinity in mg/L as CaCO3, X1 and X2 in mg N/L/d at 20 °C, and
 * what was loaded and exchanged, mg N/L, by which the balance of nitrogen is closed.
 *
 *     s1 = TAN/(K1+TAN) · DO/(0.5+DO) · alk/(15+alk) · f(pH);  s2 = NO2/(K2+NO2) · DO/(1+DO) / (1+NH3N/KI)
 *     r = X s f(T);  dX = [mu s (1−X/Xmax) − b(s)] X 1.09^(min(T,32)−25)
 *     dTAN = P − r1 + q (Cs − TAN);  dNO2 = r1 − r2 + q (…);  dNO3 = r2 + q (…);  dalk = 3.57 P − 7.14 r1 + q (…)
 *
 * f(T) and f(pH) are those of a surface, b(s) that of a colony: what starves dies faster.
 *
 * @see ArealRate, Colony
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

    /** Alkalinity at which they do, mg/L as CaCO3; below it nitrification all but stands. */
    public const ALKALINITY_HALF = 15.0;

    private const K2 = 0.5;

    private const KI = 0.5;

    /**
     * @param  list<float>  $y
     * @return list<float>
     */
    public static function rates(array $y, ModelParameters $p): array
    {
        $tan = max(0.0, $y[self::TAN]);
        $no2 = max(0.0, $y[self::NO2]);
        $alk = max(0.0, $y[self::ALK]);
        [$x1, $x2] = [$y[self::X1], $y[self::X2]];
        $s1 = (($tan / (self::K1 + $tan)) * $p->limits1 * $alk) / (self::ALKALINITY_HALF + $alk);
        $s2 = (($no2 / (self::K2 + $no2)) * $p->limits2) / (1 + ($p->unionised * $tan) / self::KI);
        $r1 = $x1 * $s1 * $p->warmth;
        $r2 = $x2 * $s2 * $p->warmth;
        $grown = $p->xMax > 0 ? 1 / $p->xMax : 0.0;
        $room = $p->xMax > 0 ? 1.0 : 0.0;
        $tanIn = $p->flow * ($p->sourceTan - $y[self::TAN]);
        $no2In = $p->flow * ($p->sourceNo2 - $y[self::NO2]);
        $no3In = $p->flow * ($p->sourceNo3 - $y[self::NO3]);

        return [
            $p->load - $r1 + $tanIn,
            $r1 - $r2 + $no2In,
            $r2 + $no3In,
            DailyLoad::NET_ALKALINITY_PER_N * $p->load -
            DailyLoad::ALKALINITY_PER_N * $r1 +
            $p->flow * ($p->sourceAlk - $y[self::ALK]),
            (Colony::MU1 * $s1 * ($room - $grown * $x1) - Colony::dying($s1)) * $x1 * $p->growth,
            (Colony::MU2 * $s2 * ($room - $grown * $x2) - Colony::dying($s2)) * $x2 * $p->growth,
            $p->load,
            $tanIn + $no2In + $no3In,
        ];
    }
}
