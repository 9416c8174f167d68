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

    /** Of the interpolant of order 4 within a step. @source hairer-1993 */
    private const DENSE = [
        -12715105075 / 11282082432,
        0,
        87487479700 / 32700410799,
        -10690763975 / 1880347072,
        701980252875 / 199316789632,
        -1453857185 / 822651844,
        69997945 / 29380423,
    ];

    /**
     * @param  int  $mostSteps  before it gives up: what is so stiff is not followed by this method
     */
    public function __construct(
        private float $relative = 1e-7,
        private float $absolute = 1e-9,
        private int $mostSteps = 60000,
    ) {}

    /**
     * @param  \Closure(float, list<float>): list<float>  $rates
     * @param  list<float>  $y  at `from`
     * @return list<float> at `to`
     *
     * @throws TooStiff
     */
    public function integrate(\Closure $rates, array $y, float $from, float $to, float $first = 1e-3): array
    {
        return $this->through($rates, $y, $from, [$to], $first)[0];
    }

    /**
     * The states at several times of one smooth run, without a stop at any but the last.
     *
     * @param  \Closure(float, list<float>): list<float>  $rates
     * @param  list<float>  $y  at `from`
     * @param  list<float>  $marks  rising, none before `from`, one at least
     * @return list<list<float>> at each mark
     *
     * @throws TooStiff
     */
    public function through(\Closure $rates, array $y, float $from, array $marks, float $first = 1e-3): array
    {
        $t = $from;
        $to = $marks[count($marks) - 1];
        $step = min($first, $to - $from);
        $n = count($y);
        $k0 = $rates($t, $y);
        $states = [];
        $mark = 0;
        while ($mark < count($marks) - 1 && $marks[$mark] <= $t + 1e-12) {
            $states[] = $y;
            $mark++;
        }
        for ($count = 0; $t < $to - 1e-12; $count++) {
            if ($count >= $this->mostSteps) {
                throw new TooStiff($t);
            }
            $step = min($step, $to - $t);
            [$k, $next] = self::stages($rates, $t, $y, $step, $k0);
            $worst = 0.0;
            for ($i = 0; $i < $n; $i++) {
                $error =
                    self::ERROR[0] * $k[0][$i] +
                    self::ERROR[2] * $k[2][$i] +
                    self::ERROR[3] * $k[3][$i] +
                    self::ERROR[4] * $k[4][$i] +
                    self::ERROR[5] * $k[5][$i] +
                    self::ERROR[6] * $k[6][$i];
                $worst = max(
                    $worst,
                    abs($step * $error) / ($this->absolute + $this->relative * max(abs($y[$i]), abs($next[$i]))),
                );
            }
            if ($worst <= 1.0) {
                while ($mark < count($marks) - 1 && $marks[$mark] <= $t + $step) {
                    $states[] = self::between($k, $y, $next, $step, ($marks[$mark] - $t) / $step);
                    $mark++;
                }
                $t += $step;
                $y = $next;
                $k0 = $k[6];
            }
            $step *= min(5.0, max(0.2, 0.9 * max($worst, 1e-10) ** -0.2));
        }
        while (count($states) < count($marks)) {
            $states[] = $y;
        }

        return $states;
    }

    /**
     * The seven rates of one step, and where it ends.
     *
     * @param  \Closure(float, list<float>): list<float>  $rates
     * @param  list<float>  $y
     * @param  list<float>  $k0
     * @return array{list<list<float>>, list<float>}
     */
    private static function stages(\Closure $rates, float $t, array $y, float $step, array $k0): array
    {
        $k = [$k0];
        $next = $y;
        for ($stage = 1; $stage < 7; $stage++) {
            $next = [];
            $weights = self::A[$stage];
            foreach ($y as $i => $value) {
                $sum = 0.0;
                foreach ($weights as $j => $a) {
                    $sum += $a * $k[$j][$i];
                }
                $next[] = $value + $step * $sum;
            }
            $k[] = $rates($t + self::C[$stage] * $step, $next);
        }

        return [$k, $next];
    }

    /**
     * @param  list<list<float>>  $k
     * @param  list<float>  $y
     * @param  list<float>  $next
     * @return list<float> a share of the way through the step
     */
    private static function between(array $k, array $y, array $next, float $step, float $share): array
    {
        $rest = 1 - $share;
        $states = [];
        foreach ($y as $i => $value) {
            $way = $next[$i] - $value;
            $bend = $step * $k[0][$i] - $way;
            $dense = 0.0;
            foreach (self::DENSE as $j => $d) {
                $dense += $d * $k[$j][$i];
            }
            $states[] =
                $value +
                $share *
                    ($way + $rest * ($bend + $share * ($way - $step * $k[6][$i] - $bend + $rest * $step * $dense)));
        }

        return $states;
    }
}
