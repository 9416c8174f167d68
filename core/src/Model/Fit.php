<?php

declare(strict_types=1);

namespace Ironwort\Core\Model;

/**
 * One number found from readings: the one that costs least, and the band of all that cost little more.
 *
 * Looked for on a scale of powers of ten: a coarse grid, then golden sections round its best. The band is where the
 * cost, a sum of squares in units of each reading's own uncertainty, is no more than 4 above the least: two standard
 * errors of one number.
 */
final readonly class Fit
{
    private const GRID = 15;

    private const WITHIN = 4.0;

    /** Of a power of ten; a hundredth is 2 %. */
    private const CLOSE = 0.002;

    private function __construct(public float $best, public float $low, public float $high, public float $cost) {}

    /**
     * @param  \Closure(float): float  $cost  of a value
     * @param  float  $least  smallest value looked at, above 0
     */
    public static function of(\Closure $cost, float $least, float $most): self
    {
        $known = [];
        $at = static function (float $power) use ($cost, &$known): float {
            $key = sprintf('%.9f', $power);

            return $known[$key] ??= $cost(10 ** $power);
        };
        [$from, $to] = [log10($least), log10($most)];
        $step = ($to - $from) / (self::GRID - 1);
        $best = $from;
        for ($i = 1; $i < self::GRID; $i++) {
            $best = $at($from + $i * $step) < $at($best) ? $from + $i * $step : $best;
        }
        $best = self::golden($at, max($from, $best - $step), min($to, $best + $step));
        $enough = $at($best) + self::WITHIN;

        return new self(
            10 ** $best,
            10 ** self::edge($at, $best, $from, $enough, $step),
            10 ** self::edge($at, $best, $to, $enough, $step),
            $at($best),
        );
    }

    /** @param  \Closure(float): float  $at */
    private static function golden(\Closure $at, float $low, float $high): float
    {
        $ratio = (sqrt(5) - 1) / 2;
        [$a, $b] = [$high - $ratio * ($high - $low), $low + $ratio * ($high - $low)];
        while ($high - $low > self::CLOSE) {
            if ($at($a) <= $at($b)) {
                [$high, $b] = [$b, $a];
                $a = $high - $ratio * ($high - $low);
            } else {
                [$low, $a] = [$a, $b];
                $b = $low + $ratio * ($high - $low);
            }
        }

        return ($low + $high) / 2;
    }

    /**
     * Where the cost leaves the band on the way to a limit; the limit itself where it never does.
     *
     * @param  \Closure(float): float  $at
     */
    private static function edge(\Closure $at, float $best, float $limit, float $enough, float $step): float
    {
        $way = $limit <=> $best;
        $inside = $best;
        while (($limit - $inside) * $way > 1e-9) {
            $next = $way > 0 ? min($limit, $inside + $step) : max($limit, $inside - $step);
            if ($at($next) > $enough) {
                while (abs($next - $inside) > 5 * self::CLOSE) {
                    $middle = ($next + $inside) / 2;
                    [$inside, $next] = $at($middle) > $enough ? [$inside, $middle] : [$middle, $next];
                }

                return $inside;
            }
            $inside = $next;
        }

        return $limit;
    }
}
