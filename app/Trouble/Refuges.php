<?php

declare(strict_types=1);

namespace App\Trouble;

use App\Arrivals\WaterApart;
use App\Capacity\CapacityReport;
use App\Expected\Residuals;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Readings\WaterMeaning;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use App\Volumes\WaterBodies;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\DensityCalculator;
use Ironwort\Core\Incident\Refuge;
use Ironwort\Core\Judge\State;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Words\Message;

/** Where fish could go out of trouble: the keeper's own systems with room, matched water and nothing given in it. */
final readonly class Refuges
{
    public function __construct(
        private CapacityReport $capacity,
        private WaterMeaning $meaning,
        private Residuals $residuals,
        private WaterBodies $bodies,
        private LoopSums $sums,
        private VolumeReport $volumes,
        private LimitsInForce $limits,
    ) {}

    /** @return list<array{slug: string, name: string, fish: int, kg: float, text: string}> the roomiest first */
    public function of(System $system, LatestWater $water): array
    {
        $count = 0;
        foreach ($system->fish as $group) {
            $count += $group->count;
        }
        $kg = $this->sums->biomass($system)->value;
        if ($count === 0 || $kg <= 0) {
            return [];
        }
        $rows = [];
        $others = System::ofSite($system->site)->whereNull('asleep_since')->whereKeyNot($system->id);
        foreach ($others->with(['site.schools', 'vessels', 'stages', 'fish', 'pumps'])->get() as $other) {
            $room = $this->roomKg($other, $water, $kg);
            $fish = min($count, (int) floor(($room * $count) / $kg));
            if ($fish > 0) {
                $takes = ($fish * $kg) / $count;
                $told = ['name' => $other->name, 'fish' => (string) $fish, 'kg' => Format::number($takes, 2)];
                $rows[] = [
                    'slug' => $other->slug,
                    'name' => $other->name,
                    'fish' => $fish,
                    'kg' => $takes,
                    'text' => Message::of('incident.refuge', $told)->text,
                ];
            }
        }
        usort($rows, static fn(array $a, array $b): int => $b['kg'] <=> $a['kg']);

        return $rows;
    }

    /** kg of fish it could take now; 0 where its water is not right. */
    private function roomKg(System $other, LatestWater $water, float $kg): float
    {
        $there = LatestWater::of($other);
        $state = in_array($other->kind, Refuge::TAKE_NONE, true) ? null : $this->meaning->of($other, $there)->state;
        $right =
            $state !== null &&
            !$state->worseThan(State::Watch) &&
            WaterApart::between($water, $there) === [] &&
            $this->residuals->now($other, $this->bodies->find($other, null)) === [];
        $volume = $this->volumes->inUse($other)->value;
        if (!$right || $volume <= 0) {
            return 0.0;
        }
        $verdict = $this->capacity->of($other, $there);
        $lives = $this->sums->biomass($other)->value;
        // A kg more gives what a kg there gives now; in an empty one what the usual ration makes.
        $perKg = $lives > 0 ? $verdict->load->value / $lives : self::usual();
        $byFilter = $perKg > 0 ? (Refuge::SHARE * max(0.0, $verdict->spareGD())) / $perKg : $kg;
        $limit = $this->limits->following($other)->in('density')->figure($other->kind);
        $byRoom = max(0.0, (($limit - DensityCalculator::kgM3($lives, $volume)) * $volume) / 1000);

        return min($byFilter, $byRoom);
    }

    /** g N/d of a kg of fish on one percent of its weight. */
    private static function usual(): float
    {
        return DailyLoad::of(1.0, 10.0, 0.38, 0.8, 0.0, 20.0)->tan();
    }
}
