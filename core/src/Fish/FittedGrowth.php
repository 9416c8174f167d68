<?php

declare(strict_types=1);

namespace Ironwort\Core\Fish;

/**
 * How fast fish grow, by the first and the last of their own measurements; by the usual coefficient where there are not
 * two, at least two weeks apart.
 *
 * Weights in g, days, °C.
 *
 * @see GrowthCalculator for the formula and its source
 */
final readonly class FittedGrowth
{
    /** Nearer together a scale tells more of the scale than of the fish. */
    public const APART_D = 14.0;

    /** Fish shrink in winter and after spawning; nothing that is expected ahead goes by it. */
    private function __construct(public float $tgc, public bool $fitted) {}

    /**
     * @param  list<array{day: float, weight_g: float}>  $measures  by day, rising
     * @param  float  $tempC  mean of the water between the first and the last
     */
    public static function of(array $measures, float $tempC): self
    {
        $first = $measures[0] ?? null;
        $last = $measures[count($measures) - 1] ?? null;
        if ($first === null || $last === null || $last['day'] - $first['day'] < self::APART_D) {
            return new self(GrowthCalculator::USUAL, false);
        }
        $fit = GrowthCalculator::coefficient(
            $first['weight_g'],
            $last['weight_g'],
            $last['day'] - $first['day'],
            $tempC,
        );

        return $fit === null ? new self(GrowthCalculator::USUAL, false) : new self(min(5.0, max(0.0, $fit)), true);
    }

    /** Weight after so many days at one temperature, g. */
    public function after(float $weightG, float $days, float $tempC): float
    {
        return GrowthCalculator::after($weightG, $days, $tempC, $this->tgc);
    }
}
