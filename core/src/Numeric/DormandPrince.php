<?php

declare(strict_types=1);

namespace Ironwort\Core\Numeric;

/**
 * Ordinary differential equations by Dormand and Prince's pair of order 5 and 4, with steps that fit.
 *
 * @source dormand-prince-1980
 */
final readonly class DormandPrince
{
    private const A = [
        [],
        [1 / 5],
        [3 / 40, 9 / 40],
        [44 / 45, -56 / 15, 32 / 9],
        [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
        [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
        [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
    ];

    private const C = [0, 1 / 5, 3 / 10, 4 / 5, 8 / 9, 1, 1];

    /** Of order 5 less of order 4: what the step may be wrong by. */
    private const ERROR = [71 / 57600, 0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40];

    private const MOST_STEPS = 200000;

    public function __construct(private float $relative = 1e-7, private float $absolute = 1e-9) {}

    /**
     * @param  \Closure(float, list<float>): list<float>  $rates
     * @param  list<float>  $y  at `from`
     * @return list<float> at `to`
     */
    public function integrate(\Closure $rates, array $y, float $from, float $to, float $first = 1e-3): array
    {
        $t = $from;
        $step = min($first, $to - $from);
        $n = count($y);
        $k0 = $rates($t, $y);
        for ($count = 0; $t < $to - 1e-12 && $count < self::MOST_STEPS; $count++) {
            $step = min($step, $to - $t);
            /** @var non-empty-list<list<float>> $k */
            $k = [$k0];
            $next = $y;
            for ($stage = 1; $stage < 7; $stage++) {
                $next = $y;
                foreach (self::A[$stage] as $j => $a) {
                    for ($i = 0; $i < $n; $i++) {
                        $next[$i] += $step * $a * $k[$j][$i];
                    }
                }
                $k[] = $rates($t + self::C[$stage] * $step, array_values($next));
            }
            $worst = 0.0;
            for ($i = 0; $i < $n; $i++) {
                $error = 0.0;
                foreach (self::ERROR as $j => $e) {
                    $error += $e * $k[$j][$i];
                }
                $worst = max(
                    $worst,
                    abs($step * $error) / ($this->absolute + $this->relative * max(abs($y[$i]), abs($next[$i]))),
                );
            }
            if ($worst <= 1.0) {
                $t += $step;
                $y = array_values($next);
                $k0 = $k[6];
            }
            $step *= min(5.0, max(0.2, 0.9 * max($worst, 1e-10) ** -0.2));
        }

        return $y;
    }
}
