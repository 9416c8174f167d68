<?php

declare(strict_types=1);

namespace Ironwort\Core\Exchange;

/**
 * What the air takes from open water, and what makes it good.
 *
 * What evaporates leaves behind all that was dissolved in it. A trickle makes it good first, and only the rest of the
 * trickle runs over; without one it is topped up, whether that is written down or not, or the level would fall.
 *
 *     (new Evaporation(surfaceM2: 10.0, batchLD: 0.0, trickleLD: 0.0, bookedTopUpLD: 0.0))->topUpLD  →  20
 *
 * @source cp-exchange
 */
final readonly class Evaporation
{
    /** In a day, mm: under a roof or in a mild summer. Common practice, no source. */
    public const MM_D = 2.0;

    /** What comes in beyond what leaves, L/d. */
    public float $topUpLD;

    /** What leaves with changes and over the brim, L/d. */
    public float $leavesLD;

    /**
     * @param  float  $surfaceM2  open water
     * @param  float  $bookedTopUpLD  topped up by the book
     */
    public function __construct(float $surfaceM2, float $batchLD, float $trickleLD, float $bookedTopUpLD)
    {
        $evaporates = max(0.0, $surfaceM2 * self::MM_D);
        $unbooked = max(0.0, $evaporates - $bookedTopUpLD);
        $this->topUpLD = $bookedTopUpLD + $unbooked;
        $this->leavesLD = $batchLD + max(0.0, $trickleLD - $unbooked);
    }
}
