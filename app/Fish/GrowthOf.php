<?php

declare(strict_types=1);

namespace App\Fish;

use App\Models\FishMeasure;
use App\Models\SingleMeasure;
use App\Models\System;
use Illuminate\Support\Collection;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Fish\FittedGrowth;

/** How fast fish grow by what was measured of them, in the water they had meanwhile. */
final readonly class GrowthOf
{
    public function __construct(private SteadyWater $water) {}

    /**
     * @param  Collection<int, covariant FishMeasure|SingleMeasure>  $measures  by day, rising
     * @param  float  $tempC  where the water was not measured meanwhile
     * @param  float  $lengthCm  as they are now
     */
    public function of(
        System $system,
        Collection $measures,
        float $condition,
        float $tempC,
        float $lengthCm,
    ): FittedGrowth {
        $first = $measures->first();
        $last = $measures->last();
        if ($first === null || $last === null) {
            return FittedGrowth::of([], $tempC, $lengthCm);
        }
        $rows = [];
        foreach ($measures as $one) {
            $rows[] = [
                'day' => $first->measured_on->diffInDays($one->measured_on),
                'weight_g' => self::weight($one, $condition),
            ];
        }
        $mean = $this->water->mean($system, $first->measured_on, $last->measured_on->copy()->endOfDay());

        return FittedGrowth::of($rows, $mean ?? $tempC, $lengthCm);
    }

    /** As weighed, or by the length. */
    public static function weight(FishMeasure|SingleMeasure $measure, float $condition = Condition::USUAL): float
    {
        return $measure->weight_g ?? Condition::weight((float) $measure->length_cm, $condition);
    }
}
