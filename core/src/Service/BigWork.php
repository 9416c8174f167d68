<?php

declare(strict_types=1);

namespace Ironwort\Core\Service;

/**
 * The figures of a job that empties or fills a whole system: what is kept of its water, where the fish are meanwhile
 * and how long they may stay there, what goes back in.
 *
 * Volumes in L, times in h and min.
 */
final readonly class BigWork
{
    /**
     * @param  float  $hours  that the fish are out, or the media stand
     * @param  float  $fishKg  0 for none
     * @param  ?float  $tubL  where the fish are held; null where nobody said
     * @param  ?float  $leastTubL  the smallest in which they can stay so long, with air; null where nothing limits it
     * @param  ?float  $staysH  how long they may stay in that tub with air running; null where nothing limits it
     * @param  ?float  $airlessMin  how long without air
     * @param  list<string>  $fills  what each part of the new water is, and is given: as steps of the refill
     * @param  array{lost: float, low: float, high: float}  $standing  percent of the bacteria, lost by standing so long
     * @param  ?float  $siltL  on its floor
     */
    public function __construct(
        public float $volumeL,
        public float $keptL,
        public float $hours,
        public float $fishKg = 0.0,
        public ?float $tubL = null,
        public ?float $leastTubL = null,
        public ?float $staysH = null,
        public ?float $airlessMin = null,
        public array $fills = [],
        public array $standing = ['lost' => 0.0, 'low' => 0.0, 'high' => 0.0],
        public ?float $siltL = null,
        public bool $plants = false,
    ) {}

    public function refillL(): float
    {
        return max(0.0, $this->volumeL - $this->keptL);
    }

    /** The least tub as it is told: to two digits, and never rounded down, L. */
    public function leastTold(): ?float
    {
        if ($this->leastTubL === null) {
            return null;
        }
        $step = $this->leastTubL < 10 ? 1.0 : 10 ** (floor(log10($this->leastTubL)) - 1);

        return ceil($this->leastTubL / $step - 1e-9) * $step;
    }

    /** Whether the fish can be held so long in the tub that was named. */
    public function holds(): bool
    {
        return $this->tubL === null || $this->leastTubL === null || $this->tubL >= $this->leastTubL;
    }
}
