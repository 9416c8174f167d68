<?php

declare(strict_types=1);

namespace Ironwort\Core\Loop;

use Ironwort\Core\Flow\PipeInputs;

/**
 * How fast the water goes along a vessel, against what its smallest fish can hold.
 *
 * The flow that is sent along its length over its cross-section: a mean, and slower than right before a return. What
 * blows across moves nothing along. Common practice, no source: fish hold half of their length a second all day, and
 * tire above one.
 */
final readonly class Current
{
    /** Lengths of a fish a second that it holds all day, and that tire it. */
    public const HELD = 0.5;

    public const TIRES = 1.0;

    private function __construct(public float $metresS, public float $alongLH) {}

    /** Null where the vessel has no length to flow along, or nothing is said to flow along it. */
    public static function of(Loop $loop, LoopFlow $flow, LoopVessel $vessel): ?self
    {
        if ($vessel->sectionM2 === null || $vessel->sectionM2 <= 0) {
            return null;
        }
        $along = 0.0;
        foreach ($loop->lines as $line) {
            if ($line->to == Place::vessel($vessel->id) && $line->aim === 'along') {
                $along += max(0.0, $flow->lineFlow($line->id));
            }
        }
        foreach ($loop->circulators as $circulator) {
            if ($circulator->insideVessel === $vessel->id && $circulator->on && $circulator->aim === 'along') {
                $along += $circulator->flowLH;
            }
        }

        return $along > 0 ? new self(PipeInputs::m3s($along) / $vessel->sectionM2, $along) : null;
    }

    /** Lengths of the smallest fish a second; null where nobody lives in it. */
    public function lengths(LoopVessel $vessel): ?float
    {
        return $vessel->smallestFishM === null || $vessel->smallestFishM <= 0
            ? null
            : $this->metresS / $vessel->smallestFishM;
    }
}
