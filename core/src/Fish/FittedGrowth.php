<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/**
 * How fast fish grow, by the first and the last of their own measurements; by what is usual for their length where
 * there are not two, at least two weeks apart.
 *
 * Weights in g, lengths in cm, days, °C.
 *
 * Usual, from memory: koi of 40 cm at two years, 52 at three, 65 at five, hardly beyond 80. The nearer they come to
 * that the less they grow: 1.85 (1 − L / 80), held between 0.1 and 1.2.
 *
 * @see GrowthCalculator for the formula and its source
 */
final readonly class FittedGrowth
{
    /** Nearer together a scale tells more of the scale than of the fish. */
    public const APART_D = 14.0;

    private const GROWN_CM = 80.0;

    private const STEEPEST = 1.85;

    private const LEAST = 0.1;

    private const MOST = 1.2;

    /** Fish shrink in winter and after spawning; nothing that is expected ahead goes by it. */
    private function __construct(public float $tgc, public bool $fitted) {}

    /**
     * @param  list<array{day: float, weight_g: float}>  $measures  by day, rising
     * @param  float  $tempC  mean of the water between the first and the last
     * @param  float  $lengthCm  as they are now
     */
    public static function of(array $measures, float $tempC, float $lengthCm): self
    {
        $first = $measures[0] ?? null;
        $last = $measures[count($measures) - 1] ?? null;
        if ($first === null || $last === null || $last['day'] - $first['day'] < self::APART_D) {
            return new self(self::usual($lengthCm), false);
        }
        $fit = GrowthCalculator::coefficient(
            $first['weight_g'],
            $last['weight_g'],
            $last['day'] - $first['day'],
            $tempC,
        );

        return $fit === null ? new self(self::usual($lengthCm), false) : new self(min(5.0, max(0.0, $fit)), true);
    }

    public static function usual(float $lengthCm): float
    {
        return min(self::MOST, max(self::LEAST, self::STEEPEST * (1 - $lengthCm / self::GROWN_CM)));
    }

    /** Weight after so many days at one temperature, g. */
    public function after(float $weightG, float $days, float $tempC): float
    {
        return GrowthCalculator::after($weightG, $days, $tempC, $this->tgc);
    }
}
