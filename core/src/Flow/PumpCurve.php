<?php

declare(strict_types=1);

namespace Ironwort\Core\Flow;

/**
 * Head of a pump by flow, through its published points.
 *
 * A monotone cubic (Fritsch and Carlson): it passes through every point, and where the points fall it
 * never rises between them, so that a pump has one duty point. Flow in m³/s, head in m.
 *
 * @source fritsch-carlson-1980
 */
final readonly class PumpCurve
{
    /** @var list<float> */
    private array $slopes;

    /**
     * @param  list<float>  $flows  rising, from 0
     * @param  list<float>  $heads  falling
     */
    public function __construct(private array $flows, private array $heads)
    {
        if (count($flows) < 2 || count($flows) !== count($heads)) {
            throw new \InvalidArgumentException('A curve needs two points or more.');
        }
        for ($i = 1; $i < count($flows); $i++) {
            if ($flows[$i] <= $flows[$i - 1] || $heads[$i] >= $heads[$i - 1]) {
                throw new \InvalidArgumentException('Along a curve flow rises and head falls.');
            }
        }
        $this->slopes = self::tangents($flows, $heads);
    }

    /**
     * Points of a pump of which only its two ends are printed: a parabola between them, a first guess.
     *
     * Common practice, no source.
     *
     * @param  float  $flowLH  with nothing to lift, L/h
     * @param  float  $headM  against a closed valve, m
     * @return list<array{flow_l_h: float, head_m: float}> four points
     */
    public static function guessed(float $flowLH, float $headM): array
    {
        return array_map(
            static fn(float $part): array => ['flow_l_h' => $part * $flowLH, 'head_m' => (1 - $part ** 2) * $headM],
            [0.0, 0.4, 0.7, 1.0],
        );
    }

    /** Head against a closed valve. */
    public function shutOffHead(): float
    {
        return $this->heads[0];
    }

    /** The last flow the curve is given for. */
    public function greatestFlow(): float
    {
        return $this->flows[count($this->flows) - 1];
    }

    /** @return list<array{flow_l_h: float, head_m: float}> the points it was given by */
    public function points(): array
    {
        return array_map(
            static fn(float $flow, float $head): array => [
                'flow_l_h' => PipeInputs::litresPerHour($flow),
                'head_m' => $head,
            ],
            $this->flows,
            $this->heads,
        );
    }

    /** Beyond its ends the curve goes on along its end tangents, so that a search never falls off it. */
    public function head(float $flow): float
    {
        $last = count($this->flows) - 1;
        if ($flow <= $this->flows[0]) {
            return $this->heads[0] + min($this->slopes[0], -1e-6) * ($flow - $this->flows[0]);
        }
        if ($flow >= $this->flows[$last]) {
            return $this->heads[$last] + $this->slopes[$last] * ($flow - $this->flows[$last]);
        }
        $i = 0;
        while ($flow > $this->flows[$i + 1]) {
            $i++;
        }
        $width = $this->flows[$i + 1] - $this->flows[$i];
        $t = ($flow - $this->flows[$i]) / $width;

        return (1 + 2 * $t) * (1 - $t) ** 2 * $this->heads[$i] +
            $t * (1 - $t) ** 2 * $width * $this->slopes[$i] +
            $t ** 2 * (3 - 2 * $t) * $this->heads[$i + 1] +
            $t ** 2 * ($t - 1) * $width * $this->slopes[$i + 1];
    }

    /**
     * Tangents at the points: the weighted harmonic mean of the neighbouring chords inside, a
     * three-point estimate held to monotony at the ends.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<float>
     */
    private static function tangents(array $x, array $y): array
    {
        $last = count($x) - 1;
        $width = $chord = [];
        for ($i = 0; $i < $last; $i++) {
            $width[$i] = $x[$i + 1] - $x[$i];
            $chord[$i] = ($y[$i + 1] - $y[$i]) / $width[$i];
        }
        if ($last < 2) {
            return [$chord[0], $chord[0]];
        }
        $slopes = [self::endTangent($width[0], $width[1], $chord[0], $chord[1])];
        for ($i = 1; $i < $last; $i++) {
            $before = 2 * $width[$i] + $width[$i - 1];
            $after = $width[$i] + 2 * $width[$i - 1];
            $slopes[] = ($before + $after) / ($before / $chord[$i - 1] + $after / $chord[$i]);
        }
        [$beforeLast, $lastWidth] = array_slice($width, -2);
        [$beforeChord, $lastChord] = array_slice($chord, -2);
        $slopes[] = self::endTangent($lastWidth, $beforeLast, $lastChord, $beforeChord);

        return $slopes;
    }

    private static function endTangent(float $near, float $next, float $nearChord, float $nextChord): float
    {
        $slope = ((2 * $near + $next) * $nearChord - $near * $nextChord) / ($near + $next);

        return match (true) {
            $slope * $nearChord <= 0 => 0.0,
            abs($slope) > 3 * abs($nearChord) && $nearChord * $nextChord <= 0 => 3 * $nearChord,
            default => $slope,
        };
    }
}
