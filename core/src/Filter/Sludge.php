<?php

declare(strict_types=1);

namespace Ironwort\Core\Filter;

use Ironwort\Core\Fish\DailyLoad;

/**
 * Dirt that gathers in one place: most of it rots there, a quarter is ash and silt and stays until it is flushed.
 *
 * Dry g. Because of what does not rot, a place that catches anything fills in the end.
 *
 * @source solids-from-memory  5 % a day at 20 °C, Q10 2; a quarter stays; nitrogen 4 % of dry sludge
 */
final readonly class Sludge
{
    private const PER_DAY = 0.05;

    private const STAYS = 0.25;

    private const NITROGEN = 0.04;

    /** Share that rots in a day. */
    public float $rate;

    /**
     * @param  float  $caughtGD  g/d, 0 or more
     * @param  float  $tempC  °C, 0 to 40
     */
    public function __construct(private float $caughtGD, float $tempC)
    {
        $this->rate = self::PER_DAY * 2 ** (($tempC - 20) / 10);
    }

    /** g that lies there so many days after a flush. */
    public function after(float $days): float
    {
        return $this->rotting($days) + self::STAYS * $this->caughtGD * $days;
    }

    /** g N/d that what rots gives back to the water, so many days after a flush. */
    public function nitrogenBack(float $days): float
    {
        return (self::NITROGEN / (1 - self::STAYS)) * $this->rate * $this->rotting($days);
    }

    /** g O2/d that what rots takes: all of it together takes what dirt is reckoned to take of the feed. */
    public function oxygen(float $days): float
    {
        $perG = DailyLoad::DIRT_O2_G_G / DailyLoad::SOLIDS_PER_FEED / (1 - self::STAYS);

        return $perG * $this->rate * $this->rotting($days);
    }

    /** Days after a flush until so many g lie there; null where nothing is caught. */
    public function fillsAfter(float $holdsG): ?float
    {
        if ($this->caughtGD <= 0) {
            return null;
        }
        // It gathers ever more slowly, but never slower than what stays: the root lies between.
        $low = $holdsG / $this->caughtGD;
        $high = $holdsG / (self::STAYS * $this->caughtGD);
        for ($step = 0; $step < 80; $step++) {
            $middle = ($low + $high) / 2;
            if ($this->after($middle) < $holdsG) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    private function rotting(float $days): float
    {
        return ((1 - self::STAYS) * $this->caughtGD * (1 - exp(-$this->rate * $days))) / $this->rate;
    }
}
