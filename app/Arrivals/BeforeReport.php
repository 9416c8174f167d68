<?php

declare(strict_types=1);

namespace App\Arrivals;

use App\Capacity\CapacityReport;
use App\Fish\FeedPlan;
use App\Living\Past;
use App\Models\Bag;
use App\Models\System;
use App\Readings\LatestWater;
use App\Readings\LimitsInForce;
use App\Volumes\LoopSums;
use App\Volumes\VolumeReport;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Ironwort\Core\Arrival\FirstDays;
use Ironwort\Core\Catalogue\Registry;
use Ironwort\Core\Fish\Condition;
use Ironwort\Core\Fish\DailyLoad;
use Ironwort\Core\Fish\DensityCalculator;
use Ironwort\Core\Judge\Parameter;
use Ironwort\Core\Measure\Format;
use Ironwort\Core\Model\StartWithFish;
use Ironwort\Core\Words\Message;

/**
 * Before the fish of a shipment go in: whether this water carries them today, how they are fed on the first days, what
 * the next two weeks of the filter look like, and which water to make ready.
 */
final readonly class BeforeReport
{
    public function __construct(
        private CapacityReport $capacity,
        private FeedPlan $feed,
        private LimitsInForce $limits,
        private LoopSums $sums,
        private VolumeReport $volumes,
        private Past $past,
        private Registry $registry,
    ) {}

    /**
     * @param  Collection<int, Bag>  $bags  that are not in yet, at least one
     * @return array{fish: int, kg: float, carries: bool, says: list<array{code: string, text: string}>}
     */
    public function of(System $system, LatestWater $water, Collection $bags): array
    {
        [$fish, $kg] = [0, 0.0];
        foreach ($bags as $bag) {
            $fish += $bag->count;
            $kg += $bag->kg();
        }
        $volume = max(1.0, $this->volumes->inUse($system)->value);
        $verdict = $this->capacity->of($system, $water, [
            'fish_more' => (string) min(10000, $fish),
            'fish_length_cm' => (string) max(2.0, round(Condition::length((1000 * $kg) / max(1, $fish)), 2)),
        ]);
        $takes = $verdict->capacity?->value;
        $load = $verdict->load->value;
        $density = DensityCalculator::kgM3($this->sums->biomass($system)->value + $kg, $volume);
        $limit = $this->limits->following($system)->in('density')->figure($system->kind);
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $carries = $takes !== null && $load <= $takes;
        $dense = $density > $limit;
        $figures = ['takes' => Format::number((float) $takes, 2), 'load' => Format::number($load, 2)];
        $densities = ['density' => Format::number($density, 2), 'limit' => Format::number($limit, 2)];
        $says = [
            match (true) {
                $takes === null => Message::of('arrival.before_no_filter'),
                $carries => Message::of('arrival.before_carries', $figures),
                default => Message::of('arrival.before_short', $figures),
            },
            Message::of($dense ? 'arrival.before_dense' : 'arrival.before_room', $densities),
            $this->feeding($bags, $temp),
            $this->growsTo($system, $water, $takes ?? 0.0, $load, $kg, $volume) ??
            Message::of('arrival.before_water', ['litres' => Format::about(FirstDays::WATER_READY_SHARE * $volume, 3)]),
        ];

        return [
            'fish' => $fish,
            'kg' => $kg,
            'carries' => $carries && !$dense,
            'says' => array_map(static fn(Message $one): array => $one->toArray(), $says),
        ];
    }

    /** @param  Collection<int, Bag>  $bags */
    private function feeding(Collection $bags, float $temp): Message
    {
        $grams = 0.0;
        foreach ($bags as $bag) {
            $weight = Condition::weight($bag->length_cm);
            $percent = $this->registry
                ->run('fish.ration', [
                    'weight_g' => min(30000.0, max(0.01, $weight)),
                    'temp_c' => $temp,
                    'purpose' => 'light',
                ])
                ->number('ration_pct_bw_d');
            $grams += ($bag->count * $weight * $percent) / 100;
        }

        return $grams < 0.1
            ? Message::of('arrival.before_cold')
            : Message::of('arrival.before_feed', [
                'half' => Format::about(FirstDays::FED_SHARE * $grams, 2),
                'whole' => Format::about($grams, 2),
            ]);
    }

    /** A young filter with more load than it takes: a start with fish in it. Null where it is none. */
    private function growsTo(
        System $system,
        LatestWater $water,
        float $takes,
        float $load,
        float $kg,
        float $volume,
    ): ?Message {
        $since = $this->past->begins($system);
        $young = $since !== null && StartWithFish::is($load, $takes, max(0.0, $since->diffInDays(Carbon::now())));
        if (!$young && $takes >= $load) {
            return null;
        }
        $following = $this->limits->following($system);
        $school = $following->in('fish_start');
        $plan = $system->feed();
        $temp = $water->valueOrAssumed(Parameter::Temperature);
        $biomass = $this->sums->biomass($system)->value;
        $fed = $plan === null ? 0.0 : $this->feed->perDay($system, $plan, $temp);
        $found = $this->registry->run('start.fish_in', [
            'volume_l' => $volume,
            'biomass_kg' => $biomass + $kg,
            'feed_g_d' => $biomass > 0 ? ($fed * ($biomass + $kg)) / $biomass : $fed,
            'protein_pct' => $plan === null ? 100 * DailyLoad::USUAL_PROTEIN : max(5.0, $this->feed->protein($plan)),
            'removal_g_d' => $takes,
            'tan_mg_l' => min(100.0, $water->get(Parameter::Ammonia)->value ?? 0.0),
            'ph' => $water->valueOrAssumed(Parameter::Ph),
            'temp_c' => $temp,
            'alkalinity_mg_l' => $water->valueOrAssumed(Parameter::Alkalinity),
            'trigger_nh3_n_mg_l' => min(1.0, $this->limits->unionised($system)),
            'trigger_tan_mg_l' => $following->fishInTrigger(),
            'change_pct' => $school->figure('change_pct'),
        ]);
        $hours = $found->figures['hours_to_trigger'];

        return is_numeric($hours)
            ? Message::of('arrival.before_fish_in', [
                'hours' => Format::number(max(0.0, round((float) $hours)), 3),
                'litres' => Format::about($found->number('change_l'), 3),
            ])
            : null;
    }
}
